/** What part of the plant is spoken of → the parts whose signs may be meant. */
export const partsMeant: Readonly<Record<string, readonly string[]>> = {
  leaf: ['leaf', 'leaf-underside', 'new-growth', 'old-leaves'],
  shoot: ['new-growth', 'stem', 'leaf', 'leaf-underside', 'crown'],
  stem: ['stem', 'stem-base', 'crown', 'new-growth'],
  base: ['stem-base', 'crown', 'stem', 'root', 'bulb'],
  root: ['root', 'bulb', 'tuber', 'stem-base', 'crown'],
  bulb: ['bulb', 'tuber', 'root', 'crown'],
  flower: ['flower', 'fruit'],
  bud: ['flower', 'new-growth', 'fruit'],
  fruit: ['fruit', 'flower', 'tuber'],
  ground: ['ground', 'root', 'stem-base', 'crown'],
};

/** Parts whose signs may be meant whatever is spoken of. */
export const anyPart = ['whole-plant', 'seedling', 'ground'];

/** What may be spoken of when a sign of this part is meant: anything at all for one that may be told of any part. */
export const topicsFor = (part: string | undefined): readonly string[] => {
  const topics = Object.keys(partsMeant);
  return part === undefined || anyPart.includes(part) ? topics : topics.filter((topic) => partsMeant[topic]!.includes(part));
};
