// AssemblyScript, compiled by `npm run wasm`: the one loop in which a season's time goes.

/**
 * exp(A·t)·x as a sum over how often something happened, from the last term inward: y ← x + m/n·P·y with m events, and P = 1 + A/q, which is never
 * negative. Two terms are taken in one pass: of the first, u = x + m/n·P·y, only one number and the one before it are ever needed to know the second.
 *
 * All are addresses of 64-bit numbers in memory, but `firsts`, which is one of 32-bit whole numbers.
 *
 * @param x - the state at the start, substage by substage; at the end of the call the state then
 * @param y - room for as many numbers
 * @param firsts - first substage of each stage, and the number of all
 * @param on - of each stage, the share that moves on at an event
 * @param stay - of each stage, the share that neither moves nor dies at an event
 * @param entry - substage that those who arrive begin with
 * @param terms - how many terms, an even number
 * @param events - how many events in the time that passes
 * @param lay - eggs of an adult at an event
 * @param arrivals - how many arrive at an event
 * @param none - chance of no event at all
 */
export function series(
  x: usize,
  y: usize,
  firsts: usize,
  on: usize,
  stay: usize,
  stages: i32,
  entry: i32,
  terms: i32,
  events: f64,
  lay: f64,
  arrivals: f64,
  none: f64,
): void {
  const size = whole(firsts, stages);
  const oldest = stages - 1;
  const adult = whole(firsts, oldest);
  const shift = x - y;
  let adultsInX: f64 = 0;
  for (let j = adult; j < size; j++) adultsInX += number(x, j);
  memory.copy(y, x, (<usize>size) << 3);
  // What arrives comes from outside, of which there is always one.
  let outside: f64 = 1;
  for (let n = terms; n > 0; n -= 2) {
    const first = events / <f64>n;
    const second = events / <f64>(n - 1);
    const outsideInU = 1 + first * outside;
    let adultsButLast: f64 = 0;
    for (let j = adult; j < size - 1; j++) adultsButLast += number(y, j);
    const adults = adultsButLast + number(y, size - 1);
    let grownUp = oldest > 0 ? number(on, oldest - 1) * number(y, adult - 1) : lay * adults;
    if (adult == entry) grownUp += arrivals * outside;
    const adultsInU = adultsInX + first * (number(stay, oldest) * adults + number(on, oldest) * adultsButLast + grownUp);
    for (let i = oldest; i >= 0; i--) {
      const start = y + ((<usize>whole(firsts, i)) << 3);
      const arriving = whole(firsts, i) == entry ? arrivals : 0;
      const stays = number(stay, i);
      const moves = number(on, i);
      const keep = first * stays;
      const go = first * moves;
      const keepU = second * stays;
      const goU = second * moves;
      const entering = first * ((i > 0 ? number(on, i - 1) * load<f64>(start - 8) : lay * adults) + arriving * outside);
      let at = y + ((<usize>(whole(firsts, i + 1) - 1)) << 3);
      let inX = load<f64>(at + shift);
      let here = load<f64>(at);
      let below = load<f64>(at - 8);
      let u = inX + keep * here + (at > start ? go * below : entering);
      // The last of this stage moves on into the next one.
      if (i < oldest) store<f64>(at + 8, load<f64>(at + 8) + goU * u);
      for (; at > start + 8; at -= 8) {
        here = below;
        below = load<f64>(at - 16);
        const belowInX = load<f64>(at - 8 + shift);
        const belowU = belowInX + keep * here + go * below;
        store<f64>(at, inX + keepU * u + goU * belowU);
        inX = belowInX;
        u = belowU;
      }
      if (at > start) {
        const belowInX = load<f64>(start + shift);
        const belowU = belowInX + keep * below + entering;
        store<f64>(at, inX + keepU * u + goU * belowU);
        inX = belowInX;
        u = belowU;
      }
      store<f64>(start, inX + keepU * u + second * ((i > 0 ? 0 : lay * adultsInU) + arriving * outsideInU));
    }
    outside = 1 + second * outsideInU;
  }
  for (let j: usize = 0; j < (<usize>size) << 3; j += 8) store<f64>(x + j, none * load<f64>(y + j));
}

function number(at: usize, index: i32): f64 {
  return load<f64>(at + ((<usize>index) << 3));
}

function whole(at: usize, index: i32): i32 {
  return load<i32>(at + ((<usize>index) << 2));
}
