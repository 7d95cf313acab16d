/** A point on the drawing's sheet, which is 100 wide and 100 high. */
export type Point = readonly [x: number, y: number];

/** Colours by what they stand for; the style sheet gives each its light, dark and sun value. */
export type Tone =
  | 'leaf'
  | 'leaf-deep'
  | 'pale-leaf'
  | 'yellow'
  | 'brown'
  | 'dark'
  | 'orange'
  | 'white'
  | 'silver'
  | 'grey'
  | 'violet'
  | 'purple'
  | 'olive'
  | 'red'
  | 'amber'
  | 'water'
  | 'soil'
  | 'paper'
  | 'cream'
  | 'petal'
  | 'none';

/** One stroke or wash of a drawing. */
export interface Shape {
  readonly d: string;
  readonly fill: Tone;
  /** ink line around it, in sheet units; 0 for none */
  readonly line: number;
  readonly opacity?: number;
}

export const wash = (d: string, fill: Tone, opacity = 1): Shape => ({ d, fill, line: 0, opacity });
export const inked = (d: string, fill: Tone, line = 1.1): Shape => ({ d, fill, line });
export const stroke = (d: string, line = 1.1, opacity = 1): Shape => ({ d, fill: 'none', line, opacity });
