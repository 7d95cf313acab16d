/** Colours by what they say; the chart takes them from the page's theme. */
export type Ink = 'ink' | 'faint' | 'line' | 'green' | 'ochre' | 'madder' | 'water' | 'paper';

export interface Stroke {
  readonly ink: Ink;
  readonly width?: number;
  readonly opacity?: number;
  readonly dash?: readonly number[];
}

export interface Fill {
  readonly ink: Ink;
  readonly opacity?: number;
}

export type Points = readonly (readonly [x: number, y: number])[];

/** What a chart is drawn with: on a canvas while it moves, into SVG when it is kept. */
export interface Painter {
  line(points: Points, stroke: Stroke): void;
  area(points: Points, fill: Fill): void;
  rect(x: number, y: number, width: number, height: number, fill: Fill): void;
  ring(x: number, y: number, radius: number, fill: Fill, stroke?: Stroke): void;
  text(x: number, y: number, words: string, ink: Ink, size: number, bold?: boolean): void;
}

export type Palette = Readonly<Record<Ink, string>>;

const fontOf = (size: number, bold: boolean) =>
  `${bold ? 600 : 400} ${size}px "Atkinson Hyperlegible Next Variable", system-ui, sans-serif`;

/** Draws on a canvas. */
export class CanvasPainter implements Painter {
  readonly #to: CanvasRenderingContext2D;
  readonly #palette: Palette;

  constructor(to: CanvasRenderingContext2D, palette: Palette) {
    this.#to = to;
    this.#palette = palette;
  }

  line(points: Points, { ink, width = 1, opacity = 1, dash = [] }: Stroke): void {
    this.#path(points);
    this.#to.strokeStyle = this.#palette[ink];
    this.#to.lineWidth = width;
    this.#to.globalAlpha = opacity;
    this.#to.setLineDash([...dash]);
    this.#to.stroke();
  }

  area(points: Points, { ink, opacity = 1 }: Fill): void {
    this.#path(points);
    this.#to.fillStyle = this.#palette[ink];
    this.#to.globalAlpha = opacity;
    this.#to.fill();
  }

  rect(x: number, y: number, width: number, height: number, { ink, opacity = 1 }: Fill): void {
    this.#to.fillStyle = this.#palette[ink];
    this.#to.globalAlpha = opacity;
    this.#to.fillRect(x, y, width, height);
  }

  ring(x: number, y: number, radius: number, { ink, opacity = 1 }: Fill, stroke?: Stroke): void {
    this.#to.beginPath();
    this.#to.arc(x, y, radius, 0, 2 * Math.PI);
    this.#to.fillStyle = this.#palette[ink];
    this.#to.globalAlpha = opacity;
    this.#to.fill();
    if (!stroke) return;
    this.#to.strokeStyle = this.#palette[stroke.ink];
    this.#to.lineWidth = stroke.width ?? 1;
    this.#to.setLineDash([]);
    this.#to.stroke();
  }

  text(x: number, y: number, words: string, ink: Ink, size: number, bold = false): void {
    this.#to.font = fontOf(size, bold);
    this.#to.fillStyle = this.#palette[ink];
    this.#to.globalAlpha = 1;
    this.#to.fillText(words, x, y);
  }

  #path(points: Points): void {
    this.#to.beginPath();
    points.forEach(([x, y], i) => (i === 0 ? this.#to.moveTo(x, y) : this.#to.lineTo(x, y)));
  }
}

/** Draws into the text of an SVG file. */
export class SvgPainter implements Painter {
  readonly #parts: string[] = [];
  readonly #palette: Palette;

  constructor(palette: Palette) {
    this.#palette = palette;
  }

  line(points: Points, { ink, width = 1, opacity = 1, dash = [] }: Stroke): void {
    const dashed = dash.length > 0 ? ` stroke-dasharray="${dash.join(' ')}"` : '';
    this.#parts.push(
      `<polyline fill="none" stroke="${this.#palette[ink]}" stroke-width="${width}" opacity="${opacity}"${dashed} points="${listed(points)}"/>`,
    );
  }

  area(points: Points, { ink, opacity = 1 }: Fill): void {
    this.#parts.push(`<polygon fill="${this.#palette[ink]}" opacity="${opacity}" points="${listed(points)}"/>`);
  }

  rect(x: number, y: number, width: number, height: number, { ink, opacity = 1 }: Fill): void {
    const box = `x="${short(x)}" y="${short(y)}" width="${short(Math.max(0, width))}" height="${short(Math.max(0, height))}"`;
    this.#parts.push(`<rect ${box} fill="${this.#palette[ink]}" opacity="${opacity}"/>`);
  }

  ring(x: number, y: number, radius: number, { ink, opacity = 1 }: Fill, stroke?: Stroke): void {
    const edge = stroke ? ` stroke="${this.#palette[stroke.ink]}" stroke-width="${stroke.width ?? 1}"` : '';
    this.#parts.push(`<circle cx="${short(x)}" cy="${short(y)}" r="${radius}" fill="${this.#palette[ink]}" opacity="${opacity}"${edge}/>`);
  }

  text(x: number, y: number, words: string, ink: Ink, size: number, bold = false): void {
    const safe = words.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
    const weight = bold ? ' font-weight="600"' : '';
    this.#parts.push(
      `<text x="${short(x)}" y="${short(y)}" fill="${this.#palette[ink]}" font-family="sans-serif" font-size="${size}"${weight}>${safe}</text>`,
    );
  }

  /** The whole file. */
  file(width: number, height: number): string {
    const head = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">`;
    return `${head}<rect width="100%" height="100%" fill="${this.#palette.paper}"/>${this.#parts.join('')}</svg>`;
  }
}

const short = (value: number) => Number(value.toFixed(1));
const listed = (points: Points) => points.map(([x, y]) => `${short(x)},${short(y)}`).join(' ');
