const common: Readonly<Record<string, string>> = {
  alliaceae: 'Onion family',
  amaranthaceae: 'Beet family',
  apiaceae: 'Carrot family',
  asteraceae: 'Daisy family',
  brassicaceae: 'Cabbage family',
  cucurbitaceae: 'Cucumber family',
  fabaceae: 'Pea and bean family',
  lamiaceae: 'Mint family',
  poaceae: 'Grasses and grains',
  rosaceae: 'Rose family',
  solanaceae: 'Potato and tomato family',
};

/** "Onion family (Alliaceae)" */
export function familyWord(family: string): string {
  const latin = family.charAt(0).toUpperCase() + family.slice(1);
  return common[family] ? `${common[family]} (${latin})` : latin;
}
