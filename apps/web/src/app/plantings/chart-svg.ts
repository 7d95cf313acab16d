import type { AlmanacAnswer } from '@field-nurse/contract';
import type { Library } from '../library/library';
import type { ChartRow } from './chart-rows';
import { underWord } from './chart-words';
import { paintCalendar, paintSky, paintStrip, rowHeight, skyHeight } from './paint-chart';
import type { Beside, View } from './paint-chart';
import { SvgPainter } from './painter';
import type { Palette } from './painter';
import type { TimeScale } from './time-scale';

/** What a kept picture shows: all that is on the screen, and every planting below it. */
export interface ChartToKeep {
  readonly rows: readonly ChartRow[];
  readonly beside: Beside | undefined;
  readonly days: AlmanacAnswer['days'];
  readonly heat: ReadonlyMap<string, number>;
  readonly stages: readonly { readonly day: string; readonly name: string }[];
  readonly months: TimeScale['months'];
  readonly view: View;
  readonly height: number;
  readonly palette: Palette;
  readonly garden: string;
  readonly library: Pick<Library, 'hostName'>;
}

// Names stand at the left.
const nameWidth = 190;

/** The planting chart as the text of an SVG file. */
export function chartSvg({ rows, beside, days, heat, stages, months, view: seen, height, palette, garden, library }: ChartToKeep): string {
  const painter = new SvgPainter(palette);
  const right = nameWidth + seen.right;
  const view: View = { ...seen, x: (day) => seen.x(day) + nameWidth, left: nameWidth, right };
  rows.forEach((row, i) => {
    const y = skyHeight + i * rowHeight;
    paintStrip(painter, row, y, view, { isChosen: false, beside });
    painter.rect(0, y, nameWidth, rowHeight - 1, { ink: 'paper' });
    painter.text(8, y + 24, library.hostName(row.planting.host), 'ink', 13, true);
    painter.text(8, y + 40, underWord(row), 'faint', 11);
  });
  paintCalendar(painter, months, height, view);
  paintSky(painter, days, heat, stages, view);
  painter.rect(0, 0, nameWidth, skyHeight, { ink: 'paper' });
  painter.text(8, 24, garden, 'ink', 15, true);
  return painter.file(right, height);
}
