import type { AlmanacAnswer } from '@field-nurse/contract';
import { addDays, daysBetween } from '@field-nurse/core/timing';
import type { ChartRow } from './chart-rows';
import type { Span } from './strips';
import type { Painter, Points } from './painter';

export const rowHeight = 58;
export const skyHeight = 86;
/** the line on which a strip stands, from its top */
const ground = 42;
const top = 5;

/** Where a day lies in pixels; outside of the view it may lie anywhere. */
export type PlaceDay = (day: string) => number;

export interface View {
  readonly x: PlaceDay;
  readonly left: number;
  readonly right: number;
  readonly today: string;
  /** pixels of a day about the middle of the view: what is drawn depends on it */
  readonly dayWidth: number;
}

const inView = ({ left, right }: View, from: number, to: number) => to >= left && from <= right;
// Square root: a tenth of the leaf still shows beside the whole of it.
const severityY = (y: number, severity: number) => y + ground - (ground - top) * Math.sqrt(severity / 100);

/** Rows of another season by plant, and how many years later they are drawn. */
export interface Beside {
  readonly rows: ReadonlyMap<string, readonly ChartRow[]>;
  readonly years: number;
}

/** A planting's row: its ground, what another season had, and its strip. */
export function paintStrip(
  painter: Painter,
  row: ChartRow,
  y: number,
  view: View,
  { isChosen, beside }: { readonly isChosen: boolean; readonly beside: Beside | undefined },
): void {
  const width = view.right;
  painter.rect(0, y + rowHeight - 1, width, 1, { ink: 'line', opacity: 0.6 });
  if (isChosen) painter.rect(0, y, width, rowHeight - 1, { ink: 'green', opacity: 0.08 });
  for (const other of beside?.rows.get(row.planting.host) ?? []) paintBeside(painter, other, y, view, beside!.years);
  paintRow(painter, row, y, view);
}

// Strokes of a hatch stand so far apart.
const hatch = 7;

/** Ground that rests from the planting's family: hatched, as on the ground plan. */
function paintRest(painter: Painter, from: number, to: number, base: number): void {
  painter.rect(from, base + 10, to - from, 5, { ink: 'madder', opacity: 0.12 });
  for (let at = from; at + 4 <= to; at += hatch)
    painter.line(
      [
        [at, base + 15],
        [at + 4, base + 10],
      ],
      { ink: 'madder', width: 1.1 },
    );
}

/** The strip of one planting: how long it stood, what it had, what was done and what is left of that, when it flowered and was picked. */
export function paintRow(painter: Painter, row: ChartRow, y: number, view: View): void {
  const { x } = view;
  const base = y + ground;
  const stretch = ({ from, to }: Span, paint: (from: number, to: number) => void) => {
    const [start, end] = [x(from), Math.max(x(to), x(from) + 2)];
    if (inView(view, start, end)) paint(Math.max(start, view.left - 2), Math.min(end, view.right + 2));
  };
  stretch(row.grows, (from, to) => painter.rect(from, base - 1.5, to - from, 3, { ink: 'green', opacity: 0.5 }));
  for (const day of row.infected) {
    const at = x(day);
    if (inView(view, at, at + view.dayWidth)) painter.rect(at, y + 1, Math.max(1, view.dayWidth - 0.5), 3, { ink: 'water', opacity: 0.8 });
  }
  for (const flowering of row.flowers) stretch(flowering, (from, to) => painter.rect(from, base + 3, to - from, 3, { ink: 'ochre' }));
  for (const harvest of row.harvests)
    stretch(harvest, (from, to) => painter.rect(from, base + 7, Math.max(6, to - from), 3, { ink: 'green' }));
  for (const wait of row.waits)
    stretch(wait, (from, to) => painter.line(boxOf(from, base - 4, to, base + 4), { ink: 'madder', width: 1.3 }));
  for (const rest of row.rests) stretch(rest, (from, to) => paintRest(painter, from, to, base));
  for (const { day, left } of row.treatments) paintResidue(painter, day, left, y, view);
  for (const one of row.cases) paintCase(painter, one, y, view);
  for (const { day, found } of row.looks) {
    const at = x(day);
    if (inView(view, at, at))
      painter.line(
        [
          [at, base + 4],
          [at, base + 10],
        ],
        found ? { ink: 'ink', width: 3 } : { ink: 'faint', width: 1.2 },
      );
  }
  for (const { day } of row.treatments) {
    const at = x(day);
    if (inView(view, at - 5, at + 5))
      painter.area(
        [
          [at - 4.5, base + 1],
          [at, base - 9],
          [at + 4.5, base + 1],
        ],
        { ink: 'ink' },
      );
  }
  for (const { day, kg } of row.picked) {
    const at = x(day);
    if (inView(view, at, at))
      painter.rect(at - 1.5, base + 11 - Math.min(9, 2 + 3 * Math.sqrt(kg)), 3, Math.min(9, 2 + 3 * Math.sqrt(kg)), { ink: 'green' });
  }
}

/** What is left of a spray: a veil over the strip that thins with days and rain. */
function paintResidue(painter: Painter, day: string, left: readonly number[], y: number, view: View): void {
  if (left.length < 2) return;
  const [from, to] = [view.x(day), view.x(addDays(day, left.length - 1))];
  if (!inView(view, from, to)) return;
  const base = y + ground;
  const points: [number, number][] = left.map((share, i) => [view.x(addDays(day, i)), base - 14 * share]);
  painter.area([[from, base], ...points, [to, base]], { ink: 'water', opacity: 0.28 });
  painter.line(points, { ink: 'water', width: 1.2 });
}

function paintCase(painter: Painter, { openedOn, points }: ChartRow['cases'][number], y: number, view: View): void {
  const base = y + ground;
  const placed: Points = points.map(({ day, severity }) => [view.x(day), severityY(y, severity)] as const);
  const [first, last] = [placed[0]?.[0] ?? 0, placed.at(-1)?.[0] ?? 0];
  if (placed.length > 0 && inView(view, first, last)) {
    painter.area([[first, base], ...placed, [last, base]], { ink: 'ochre', opacity: 0.32 });
    painter.line(placed, { ink: 'ink', width: 1.7 });
    if (view.dayWidth > 2)
      points.forEach(({ count }, i) => {
        const [x, at] = placed[i]!;
        painter.ring(x, at, 2.4, { ink: 'ink' });
        if (count !== null && view.dayWidth > 9) painter.text(x + 5, at - 3, String(count), 'faint', 10);
      });
  }
  const opened = view.x(openedOn);
  if (inView(view, opened, opened)) painter.ring(opened, base, 4, { ink: 'paper' }, { ink: 'ink', width: 1.6 });
}

/** Another season's cases of the same plant, moved onto this one: faint and broken. */
export function paintBeside(painter: Painter, row: ChartRow, y: number, view: View, years: number): void {
  const moved = (day: string) => view.x(`${Number(day.slice(0, 4)) + years}${day.slice(4) === '-02-29' ? '-02-28' : day.slice(4)}`);
  for (const { points } of row.cases)
    if (points.length > 1)
      painter.line(
        points.map(({ day, severity }) => [moved(day), severityY(y, severity)] as const),
        { ink: 'madder', width: 1.4, dash: [4, 3] },
      );
}

const boxOf = (from: number, top: number, to: number, bottom: number): Points => [
  [from, top],
  [to, top],
  [to, bottom],
  [from, bottom],
  [from, top],
];

/** The sky over all strips: rain, hours with wet leaves, the warmth of each day, and the heat since the season began. */
export function paintSky(
  painter: Painter,
  days: AlmanacAnswer['days'],
  heat: ReadonlyMap<string, number>,
  stages: readonly { readonly day: string; readonly name: string }[],
  view: View,
): void {
  const [rainBase, warmTop, warmBase] = [skyHeight - 18, 22, skyHeight - 40];
  const warmY = (celsius: number) => warmBase - ((celsius + 5) / 40) * (warmBase - warmTop);
  const most = Math.max(1, ...heat.values());
  const low: [number, number][] = [];
  const high: [number, number][] = [];
  const sums: [number, number][] = [];
  for (const { day, rainMm, wetHours, minC, maxC } of days) {
    const at = view.x(day);
    if (!inView(view, at - view.dayWidth, at + view.dayWidth)) continue;
    const width = Math.max(0.8, view.dayWidth * 0.8);
    if (rainMm) painter.rect(at, rainBase - Math.min(22, 1 + rainMm * 1.1), width, Math.min(22, 1 + rainMm * 1.1), { ink: 'water' });
    if (wetHours) painter.rect(at, rainBase + 2, width, Math.max(1, wetHours / 6), { ink: 'water', opacity: 0.55 });
    if (minC !== null && maxC !== null) {
      low.push([at, warmY(minC)]);
      high.push([at, warmY(maxC)]);
    }
    const sum = heat.get(day);
    if (sum !== undefined) sums.push([at, rainBase - (sum / most) * (rainBase - warmTop)]);
  }
  if (high.length > 1) painter.area([...high, ...low.reverse()], { ink: 'ochre', opacity: 0.35 });
  // A new season begins at nought again: its line is another.
  for (const part of rising(sums)) painter.line(part, { ink: 'madder', width: 1.3, opacity: 0.8 });
  for (const { day, name } of stages) {
    const at = view.x(day);
    if (!inView(view, at, at)) continue;
    painter.line(
      [
        [at, 20],
        [at, rainBase],
      ],
      { ink: 'madder', width: 1, dash: [2, 2] },
    );
    if (view.dayWidth > 2.5) painter.text(at + 3, 30, name, 'madder', 10);
  }
}

function rising(points: Points): Points[] {
  const parts: (readonly [number, number])[][] = [];
  points.forEach((point, i) => {
    const before = points[i - 1];
    if (before && point[1] <= before[1] + 0.01) parts.at(-1)!.push(point);
    else parts.push([point]);
  });
  return parts.filter((part) => part.length > 1);
}

// About so wide is a letter of the heads.
const letterWidth = 6.6;

/** The heads of months, or of years where months are too narrow, and lines at weeks where days are wide. */
export function paintCalendar(
  painter: Painter,
  months: readonly { readonly from: string; readonly isNarrow: boolean }[],
  height: number,
  view: View,
): void {
  const names = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
  for (const { from, isNarrow } of months) {
    const at = view.x(from);
    const end = view.x(`${addDays(from, 32).slice(0, 7)}-01`);
    if (!inView(view, at, end)) continue;
    const isYear = from.slice(5, 7) === '01';
    if (isNarrow) painter.rect(at, 0, end - at, height, { ink: 'line', opacity: 0.22 });
    painter.line(
      [
        [at, 0],
        [at, height],
      ],
      { ink: isYear ? 'faint' : 'line', width: isYear ? 1.2 : 1 },
    );
    const month = names[Number(from.slice(5, 7)) - 1]!;
    const words = isYear
      ? [`${month} ${from.slice(0, 4)}`, from.slice(0, 4)]
      : view.dayWidth > 6
        ? [`${month} ${from.slice(0, 4)}`, month]
        : [month];
    const word = words.find((one) => one.length * letterWidth < end - at - 4);
    if (word) painter.text(at + 4, 13, word, 'faint', 11.5, isYear);
    if (view.dayWidth > 5)
      for (let day = from; day < `${addDays(from, 32).slice(0, 7)}-01`; day = addDays(day, 1)) {
        const x = view.x(day);
        if (!inView(view, x, x)) continue;
        const isMonday = daysBetween('2024-01-01', day) % 7 === 0;
        if (isMonday)
          painter.line(
            [
              [x, 16],
              [x, height],
            ],
            { ink: 'line', width: 0.6 },
          );
        if (view.dayWidth > 16 || isMonday) painter.text(x + 2, view.dayWidth > 16 ? 24 : 24, String(Number(day.slice(8))), 'faint', 9.5);
      }
  }
  const now = view.x(view.today);
  if (inView(view, now, now))
    painter.line(
      [
        [now, 0],
        [now, height],
      ],
      { ink: 'ink', width: 1.4 },
    );
}
