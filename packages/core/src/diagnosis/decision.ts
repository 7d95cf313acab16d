import type { CauseSet } from './posterior.js';
import type { ConditionFacts, Finding } from './knowledge.js';

// What helps in less than this share of cases is no reason to tell two causes apart.
const worthDoing = 0.1;
const authority = 'call-authority';

/**
 * What would be done about a set of causes: the same words for the same course of action, so that causes which are treated alike need not be
 * told apart.
 *
 * Each cause stands for its most effective intervention (by the middle of its range); one that must be reported, and one that nothing much
 * can be done about, stand for just that. A cause that explains nothing of what was seen is left out, so that looks go to the question at
 * hand.
 *
 * @returns the courses of action, sorted and joined
 */
export function decisionOf({ causes }: CauseSet, findings: readonly Finding[]): string {
  const seen = findings.filter(({ state }) => state === 'seen');
  const explains = (cause: ConditionFacts) => seen.some(({ sign }) => (cause.signs[sign] ?? 'never') !== 'never');
  const relevant = seen.length === 0 ? causes : causes.filter(explains);
  return [...new Set(relevant.map(courseOf))].sort().join();
}

const courses = new WeakMap<ConditionFacts, string>();

function courseOf(cause: ConditionFacts): string {
  const known = courses.get(cause);
  if (known !== undefined) return known;
  const course = bestCourse(cause);
  courses.set(cause, course);
  return course;
}

function bestCourse(cause: ConditionFacts): string {
  const deciding = decidingTreatment(cause)?.intervention;
  return deciding === authority ? 'report' : (deciding ?? 'leave');
}

/**
 * The treatment that a cause stands for when what to do is in doubt: the call to the authority where one is due, or else the most effective.
 *
 * @returns nothing where nothing much helps
 */
export function decidingTreatment<T extends ConditionFacts['treat'][number]>({ treat }: { readonly treat: readonly T[] }): T | undefined {
  const call = treat.find(({ intervention }) => intervention === authority);
  if (call) return call;
  let best: T | undefined;
  let most = worthDoing;
  for (const one of treat) {
    const middle = ((one.efficacy?.[0] ?? 100) + (one.efficacy?.[1] ?? 100)) / 200;
    if (middle > most) [best, most] = [one, middle];
  }
  return best;
}
