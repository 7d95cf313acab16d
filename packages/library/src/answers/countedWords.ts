// Parts of the sentences that core's codes are told in.

const counted = (value: unknown, one: string, many: string) => `${String(value)} ${Number(value) === 1 ? one : many}`;
export const days = (value: unknown) => counted(value, 'day', 'days');
export const hours = (value: unknown) => counted(value, 'hour', 'hours');
export const times = (value: unknown) => (Number(value) === 1 ? 'once' : `${String(value)} times`);
export const ago = (value: unknown) => (Number(value) === 0 ? 'today' : `${days(value)} ago`);

const settingWords: Readonly<Record<string, string>> = {
  outdoor: 'plants outdoors',
  greenhouse: 'plants under cover',
  indoor: 'plants indoors',
  hydroponic: 'water culture',
};
export const settingWord = (setting: unknown) => settingWords[String(setting)] ?? String(setting);
