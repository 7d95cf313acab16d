export { gaugeLeaf, NoLeaf } from './gauge.js';
export type { GaugeOptions, LeafReading } from './gauge.js';
export type { Picture } from './picture.js';
export { renderLeaf } from './renderLeaf.js';
export type { RenderedLeaf, RenderOptions } from './renderLeaf.js';
