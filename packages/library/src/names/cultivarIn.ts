import { placing } from './placing.js';
import { settingIn } from './settingIn.js';
import { fold } from './words.js';

const inQuotes = /['"‘’“”]([^'"‘’“”]+)['"‘’“”]/u;
// Said of any plant, they name no variety.
const general = new Set(
  'a an the my our some old young new big small little tall dwarf sick dying potted plant plants seedling seedlings tree trees bush bushes vine vines hedge shrub bed row rows pot pots leaf leaves fruit flowers home organic'.split(
    ' ',
  ),
);

/**
 * The variety that words beside a plant's name give, as it was written: what stands in quotes, or what is left when age, size and place are
 * taken away. Empty where nothing is.
 *
 * @example
 * cultivarIn('Ferry Red in the tunnel') // => 'Ferry Red'
 * cultivarIn('old') // => ''
 */
export function cultivarIn(words: string): string {
  const quoted = inQuotes.exec(words)?.[1];
  if (quoted) return quoted.trim();
  const all = words.split(/\s+/).filter(Boolean);
  const end = all.findIndex((word) => placing.has(fold(word)));
  return all
    .slice(0, end < 0 ? undefined : end)
    .filter((word) => !general.has(fold(word)) && !settingIn(word))
    .join(' ');
}
