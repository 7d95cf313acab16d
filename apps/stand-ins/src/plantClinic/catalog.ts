/** The one clinic of the stand-in, on the invented river. */
export const clinic = { id: 'reedbank', name: 'Reedbank plant clinic', simulated: true } as const;

/** One method of the laboratory: how well it tells, and how long it takes. */
export interface Method {
  readonly name: string;
  /** chance of a positive where the trouble is in the sample, 0 to 1 */
  readonly sensitivity: number;
  /** chance of a negative where it is not, 0 to 1 */
  readonly specificity: number;
  readonly days: number;
}

/**
 * By the kind of trouble. The figures are made up within what such methods commonly reach: culture and microscope miss more than they mistake,
 * tests of genetic material tell best, and leaf analysis has wide borders between enough and too little.
 */
export const methods: Readonly<Record<string, Method>> = {
  fungus: { name: 'culture and microscope', sensitivity: 0.86, specificity: 0.97, days: 6 },
  oomycete: { name: 'bait and microscope', sensitivity: 0.82, specificity: 0.97, days: 5 },
  bacterium: { name: 'culture and test strip', sensitivity: 0.9, specificity: 0.96, days: 4 },
  virus: { name: 'test of genetic material', sensitivity: 0.95, specificity: 0.99, days: 4 },
  nematode: { name: 'wash and count', sensitivity: 0.84, specificity: 0.98, days: 5 },
  insect: { name: 'under the lens, by a specialist', sensitivity: 0.96, specificity: 0.99, days: 2 },
  mite: { name: 'under the lens, by a specialist', sensitivity: 0.93, specificity: 0.99, days: 2 },
  deficiency: { name: 'leaf analysis', sensitivity: 0.88, specificity: 0.88, days: 7 },
};

export interface PackingLine {
  readonly id: string;
  readonly text: string;
}

const always: readonly PackingLine[] = [
  { id: 'before-spraying', text: 'Take it before anything is sprayed; after a spray, wait two weeks.' },
  { id: 'edge-of-damage', text: 'Take from where healthy meets sick. What is quite dead tells nothing.' },
];
const posted: readonly PackingLine[] = [
  { id: 'two-bags', text: 'Close it in two bags, one in the other, and mark the outer one.' },
  { id: 'number-on-bag', text: 'Write the clinic’s number on the bag and put the case sheet beside it, not in it.' },
  { id: 'early-in-week', text: 'Keep it cool and post it early in the week, so that it does not lie over a weekend.' },
];

/** What to do for each kind of sample, in order. A line left out makes a sample that tells nothing likelier. */
export const packing: Readonly<Record<string, readonly PackingLine[]>> = {
  leaves: [
    ...always,
    { id: 'ten-leaves', text: 'Ten leaves from several plants, from the first signs to the worst.' },
    { id: 'dry-paper', text: 'Lay them flat between dry paper; wet leaves rot on the way.' },
    ...posted,
  ],
  stem: [...always, { id: 'hand-long', text: 'A piece as long as a hand, with the edge of the damage in its middle.' }, ...posted],
  root: [
    ...always,
    { id: 'dig-not-pull', text: 'Dig it out, don’t pull: the fine roots tell most. Leave a fist of soil on.' },
    { id: 'soil-apart', text: 'Tie the root bag off at the stem, so that no soil gets on the leaves.' },
    ...posted,
  ],
  fruit: [
    ...always,
    { id: 'firm-fruit', text: 'Firm fruit with the first signs, each wrapped in dry paper.' },
    { id: 'hard-box', text: 'Send it in a hard box.' },
    ...posted,
  ],
  'whole-plant': [
    ...always,
    { id: 'dig-not-pull', text: 'Dig it out, don’t pull: the fine roots tell most. Leave a fist of soil on.' },
    { id: 'soil-apart', text: 'Tie the root bag off at the stem, so that no soil gets on the leaves.' },
    ...posted,
  ],
  insects: [
    { id: 'several-stages', text: 'Five or more, of every stage that you find, dead ones too.' },
    { id: 'in-alcohol', text: 'In a small tight jar with rubbing alcohol; keep it from flame. Caterpillars first scalded, then in.' },
    { id: 'hard-box', text: 'Send it in a hard box.' },
    { id: 'number-on-bag', text: 'Write the clinic’s number on the jar in pencil and put the case sheet beside it.' },
  ],
};
