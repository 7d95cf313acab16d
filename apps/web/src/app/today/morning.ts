/** What the sentence of the day is made from. */
export interface Morning {
  /** plantings that nobody may go to, with the hour until when */
  readonly keepOut: readonly { readonly name: string; readonly until: string }[];
  /** cases whose look is due, those that get worse first */
  readonly looks: readonly { readonly name: string; readonly worse: boolean }[];
  /** cases that wait to be told what they are, or what is to be done */
  readonly toDecide: readonly string[];
  /** jobs of the plan that are due */
  readonly jobs: number;
  /** plantings that the round would pass */
  readonly round: number;
  readonly traps: number;
}

const counted = (count: number, one: string, many: string) => (count === 1 ? `one ${one}` : `${count} ${many}`);
const listed = (parts: readonly string[]) => (parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`);

/** The day in one sentence: what is most pressing by its name, and the rest by number. */
export function morningSentence({ keepOut, looks, toDecide, jobs, round, traps }: Morning): string {
  const [shut] = keepOut;
  const [pressing, ...others] = looks;
  const rest = [
    others.length > 0 ? `${counted(others.length, 'other case', 'other cases')} to look at` : '',
    toDecide.length > 1 || (toDecide.length === 1 && pressing) ? counted(toDecide.length, 'case to decide on', 'cases to decide on') : '',
    jobs > 0 ? counted(jobs, 'job of the plan', 'jobs of the plan') : '',
    round > 0 ? `${counted(round, 'planting', 'plantings')} on the round` : '',
    traps > 0 ? counted(traps, 'trap', 'traps') : '',
  ].filter(Boolean);
  const first = shut
    ? `Keep out of ${listed(keepOut.slice(0, 2).map(({ name }) => name))} until ${shut.until}`
    : pressing
      ? pressing.worse
        ? `${pressing.name} is getting worse: look at it first`
        : `Look at ${pressing.name} today`
      : toDecide.length === 1
        ? `${toDecide[0]!} waits for you to decide`
        : '';
  if (!first) return rest.length > 0 ? `Today: ${listed(rest)}.` : 'Nothing is asked of you today.';
  const behind =
    shut && pressing ? [counted(looks.length, 'case to look at', 'cases to look at'), ...rest.slice(others.length > 0 ? 1 : 0)] : rest;
  return behind.length > 0 ? `${first}; then ${listed(behind)}.` : `${first}.`;
}
