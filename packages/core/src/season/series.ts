import { seriesBytes } from './seriesBytes.js';

/** What happens to a population while its rates are constant. One such record is filled again and again: this is where all the time goes. */
export interface SeriesRates {
  /** first substage of each stage, and the number of all */
  readonly firsts: Int32Array;
  /** of each stage, the share that moves on at an event */
  readonly on: Float64Array;
  /** of each stage, the share that neither moves nor dies at an event */
  readonly stay: Float64Array;
  /** substage that those who arrive begin with */
  readonly entry: number;
  /** eggs of an adult at an event */
  lay: number;
  /** how many arrive at an event */
  arrivals: number;
  /** events in the time that passes */
  events: number;
  /** terms that are summed: an even number, since two are taken at once */
  terms: number;
}

interface Compiled {
  readonly memory: WebAssembly.Memory;
  series(
    x: number,
    y: number,
    firsts: number,
    on: number,
    stay: number,
    stages: number,
    entry: number,
    terms: number,
    events: number,
    lay: number,
    arrivals: number,
    none: number,
  ): void;
}

const pageBytes = 65_536;
let compiled: Compiled | undefined;
let numbers = new Float64Array(0);
let wholes = new Int32Array(0);

/**
 * Let a population's time pass while its rates are constant: exp(A·t)·state, summed by uniformisation in compiled code, two terms at a time.
 *
 * One room of memory serves all populations of a thread: each is carried in, and out again.
 *
 * @param state - individuals in each substage; changed in place
 */
export function series(state: Float64Array, rates: SeriesRates): void {
  const { firsts, on, stay } = rates;
  const [size, stages] = [state.length, on.length];
  const run = roomFor(2 * size + 3 * stages + 1).series;
  const [atOn, atStay, atFirsts] = [2 * size, 2 * size + stages, 2 * size + 2 * stages];
  for (let j = 0; j < size; j++) numbers[j] = state[j]!;
  for (let i = 0; i < stages; i++) {
    numbers[atOn + i] = on[i]!;
    numbers[atStay + i] = stay[i]!;
  }
  for (let i = 0; i <= stages; i++) wholes[2 * atFirsts + i] = firsts[i]!;
  const { entry, terms, events, lay, arrivals } = rates;
  run(0, 8 * size, 8 * atFirsts, 8 * atOn, 8 * atStay, stages, entry, terms, events, lay, arrivals, Math.exp(-events));
  for (let j = 0; j < size; j++) state[j] = numbers[j]!;
}

/** The compiled code, with memory for so many numbers. */
function roomFor(count: number): Compiled {
  compiled ??= new WebAssembly.Instance(new WebAssembly.Module(Uint8Array.from(atob(seriesBytes), (letter) => letter.charCodeAt(0))))
    .exports as unknown as Compiled;
  if (numbers.length < count) {
    compiled.memory.grow(Math.ceil((8 * count) / pageBytes) - compiled.memory.buffer.byteLength / pageBytes);
    numbers = new Float64Array(compiled.memory.buffer);
    wholes = new Int32Array(compiled.memory.buffer);
  }
  return compiled;
}
