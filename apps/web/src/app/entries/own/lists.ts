const partsOf = (text: string, parted: RegExp) =>
  text
    .split(parted)
    .map((one) => one.trim())
    .filter(Boolean);

/** "shed sulk, door wilt" → both names */
export const namesIn = (text: string): string[] => partsOf(text, /,/);

/** What stands on the lines of a field, one each; empty lines are no lines. */
export const linesIn = (text: string): string[] => partsOf(text, /\n/);

/** With this one in the list, or without it if it was there. */
export const toggled = <T>(list: readonly T[], one: T): T[] =>
  list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

/** A number as it was typed; nothing for an empty field. */
export const numberIn = (text: string): number | undefined => (text.trim() === '' ? undefined : Number(text));
