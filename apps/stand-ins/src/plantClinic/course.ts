import { seededRandom } from '@field-nurse/core/statistics';
import { addDays } from '@field-nurse/core/timing';
import { methods, packing } from './catalog.js';

/** A sample as it was registered. */
export interface Registered {
  /** the sender's own id, a UUID: all chance follows from it */
  readonly sample: string;
  readonly crop: string;
  readonly material: string;
  /** what to test for, each with its kind and how likely the sender takes it to be */
  readonly requests: readonly { readonly code: string; readonly kind: string; readonly chance: number }[];
}

export interface Report {
  readonly status: 'registered' | 'under-way' | 'in-laboratory' | 'lost' | 'reported';
  /** day on which it came to that */
  readonly since: string | null;
  readonly results: readonly {
    readonly code: string;
    readonly result: 'positive' | 'negative' | 'inconclusive';
    readonly method: string;
    readonly sensitivity: number;
    readonly specificity: number;
  }[];
}

const lostShare = 0.06;
const givenUpAfterDays = 10;
const mostDaysOnTheWay = 3;
const mostDaysOfDelay = 2;
const inconclusiveShare = 0.05;
// A sample packed with none of the care is as likely as not to tell nothing.
const carelessShare = 0.5;

/**
 * How a sample fares by a day. The clinic is simulated and has no plant to look at: what truly ails it is drawn from the chances that the sender
 * gave, then each test errs as often as its method does. The same sample always fares alike.
 *
 * @param sent - day of posting; none while it is not sent
 * @param packed - lines of the packing list that were done
 */
export function courseOf(
  { sample, material, requests }: Registered,
  sent: string | null,
  packed: readonly string[],
  today: string,
): Report {
  if (!sent || sent > today) return { status: 'registered', since: null, results: [] };
  const random = seededRandom(Number.parseInt(sample.slice(0, 8), 16));
  const lost = random() < lostShare;
  const arrives = addDays(sent, 1 + Math.floor(random() * mostDaysOnTheWay));
  const longest = Math.max(...requests.map(({ kind }) => methods[kind]!.days));
  const reported = addDays(arrives, longest + Math.floor(random() * (mostDaysOfDelay + 1)));
  if (lost)
    return today < addDays(sent, givenUpAfterDays)
      ? { status: 'under-way', since: sent, results: [] }
      : { status: 'lost', since: addDays(sent, givenUpAfterDays), results: [] };
  if (today < arrives) return { status: 'under-way', since: sent, results: [] };
  if (today < reported) return { status: 'in-laboratory', since: arrives, results: [] };

  const lines = packing[material]!;
  const left = lines.filter(({ id }) => !packed.includes(id)).length / lines.length;
  const tellsNothing = inconclusiveShare + carelessShare * left;
  const results = requests.map(({ code, kind, chance }) => {
    const { name, sensitivity, specificity } = methods[kind]!;
    const [truth, error, fate] = [random(), random(), random()];
    const positive = truth < chance ? error < sensitivity : error >= specificity;
    const result = fate < tellsNothing ? ('inconclusive' as const) : positive ? ('positive' as const) : ('negative' as const);
    return { code, result, method: name, sensitivity, specificity };
  });
  return { status: 'reported', since: reported, results };
}
