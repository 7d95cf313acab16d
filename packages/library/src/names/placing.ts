/** What follows such a word says where a plant stands, and names no other. */
export const placing: ReadonlySet<string> = new Set(
  'in on at by from near under with for and next behind against beside inside'.split(' '),
);
