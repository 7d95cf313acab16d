/**
 * A repeatable source of uniform numbers in [0, 1).
 *
 * Mulberry32: 32 bits of state, period 2³², good enough for drawings, sampling walks and generated test cases; not for secrets.
 *
 * Kept, and not replaced by a package: what it draws is part of what was recorded (the plants that a stop named, the weather of the simulated
 * station, the leaves that the gauge is held to), and another generator would draw otherwise from the same seeds.
 *
 * Source: the public-domain mulberry32 generator (2017).
 *
 * @param seed - any number; its lowest 32 bits are used
 * @example
 * const random = seededRandom(7);
 * random() === seededRandom(7)() // => true
 */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

/** A draw from the standard normal distribution (Box & Muller 1958). @param random - even draws from 0 to 1, without 1 */
export const normalDraw = (random: () => number): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
