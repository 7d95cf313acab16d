import type { LogLine } from './log-rows';

/** Which lines of the log are wanted; nothing stands for all. */
export interface LogFilter {
  readonly text: string;
  readonly place: string;
  readonly plant: string;
  readonly treatment: string;
  readonly by: string;
}

export const noFilter: LogFilter = { text: '', place: '', plant: '', treatment: '', by: '' };

/** Every word that is typed must be found in the line, in whichever of its columns. */
export function filtered(lines: readonly LogLine[], { text, place, plant, treatment, by }: LogFilter): LogLine[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  return lines.filter((line) => {
    const all = [
      line.treatment,
      line.why,
      line.appliedBy,
      line.kit,
      line.sky,
      line.card.name,
      ...line.targets.flatMap((target) => [target.plant, target.cultivar, target.place, target.coveredPart]),
    ]
      .join(' ')
      .toLowerCase();
    return (
      words.every((word) => all.includes(word)) &&
      (place === '' || line.targets.some((target) => target.place === place)) &&
      (plant === '' || line.targets.some((target) => target.plant === plant)) &&
      (treatment === '' || line.treatment === treatment) &&
      (by === '' || line.appliedBy === by)
    );
  });
}

/** What may be chosen for each column, as far as it occurs. */
export function choicesOf(lines: readonly LogLine[]): Readonly<Record<Exclude<keyof LogFilter, 'text'>, string[]>> {
  const all = (values: readonly string[]) => [...new Set(values.filter(Boolean))].sort((a, b) => a.localeCompare(b));
  return {
    place: all(lines.flatMap(({ targets }) => targets.map(({ place }) => place))),
    plant: all(lines.flatMap(({ targets }) => targets.map(({ plant }) => plant))),
    treatment: all(lines.map(({ treatment }) => treatment)),
    by: all(lines.map(({ appliedBy }) => appliedBy)),
  };
}
