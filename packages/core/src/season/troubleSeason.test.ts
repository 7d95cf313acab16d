import fc from 'fast-check';
import { requireTrouble } from '.';
import type { DiseaseTrouble, PestTrouble, SeasonAction, SeasonDay } from '.';
import { DiseaseSeason } from './diseaseSeason.js';
import { growingAges, PestSeason, populationOf } from './pestSeason.js';
import { selected, sizeAt } from './troubleSeason.js';
import type { PlantInPlace, RunChances } from './troubleSeason.js';

const asItIs: RunChances = { deaths: 1, breeding: 1, arrivals: 1, helpers: 1, harm: 1, beginning: 1, effect: 0.5 };
const grown: PlantInPlace = { crop: { ageDays: null, leafDays: 60 }, shelter: 'outdoor' };
const mild = (meanC = 20): SeasonDay => ({ meanC, rainMm: 0, wetHours: 0 });
const stage = (id: string, degreeDays: number, substages: number, more: object = {}) => ({
  ...{ id, lowerC: 10, degreeDays, substages, mortalityPerDay: 0.05, feeds: 1, sheltered: 0 },
  ...more,
});
const pest: PestTrouble = {
  kind: 'pest',
  stages: [stage('egg', 60, 6, { feeds: 0 }), stage('young', 90, 8), stage('adult', 200, 4)],
  eggsPerAdultDay: 4,
  femaleShare: 0.5,
  upperC: 30,
  crowdedAt: 1e9,
  resistance: { start: 0, dominance: 0.5, escapes: 0.9 },
  harm: { halfLossAt: 1000, mostLoss: 0.8 },
  actAt: 10,
};
const helped: PestTrouble = {
  ...pest,
  enemies: {
    ...{ name: 'helpers', mostPerDay: 10, halfAt: 60, lowerC: 10, eats: { egg: 0.2, young: 1, adult: 0.5 } },
    ...{ youngPerPrey: 0.03, lifeDays: 15, arrivePerDay: 0.02, initial: 0.2 },
  },
};
const spray = (more: Partial<SeasonAction> = {}): SeasonAction => ({
  ...{
    id: 'spray',
    effect: { young: [0.8, 0.8], adult: [0.8, 0.8] },
    reachesSheltered: false,
    sparesHelpers: 1,
    harmsBees: 0,
    harmsHelpers: 0,
  },
  ...{ isSpray: true, cost: 1, minutes: 1, everyDays: 7 },
  ...more,
});
const seasonOf = (model: PestTrouble, seen = 20, chances = asItIs, place = grown) =>
  new PestSeason(model, place, { seen, heatBefore: 0 }, growingAges(model), chances);

/** Stages and helpers by hundreds of small Euler steps in a day: another way to the same. */
function plainly(model: PestTrouble, seen: number, days: number, celsius: number): { amount: number; helpers: number } {
  const ages = [...growingAges(model)];
  const firsts = model.stages.map((_, i) => model.stages.slice(0, i).reduce((sum, { substages }) => sum + substages, 0));
  let now = ages.map((share) => share * seen);
  const guild = model.enemies!;
  let helpers = guild.initial;
  const of = (i: number) => now.slice(firsts[i], firsts[i]! + model.stages[i]!.substages).reduce((sum, one) => sum + one, 0);
  const steps = 400;
  for (let step = 0; step < days * steps; step++) {
    const warmth = (celsius - guild.lowerC) / 10;
    const prey = model.stages.reduce((sum, { id }, i) => sum + of(i) * (guild.eats[id] ?? 0), 0);
    const hazard = (guild.mostPerDay * warmth * helpers) / (guild.halfAt + prey);
    const next = [...now];
    model.stages.forEach(({ id, substages, degreeDays, lowerC, mortalityPerDay }, i) => {
      const rate = (substages * (celsius - lowerC)) / degreeDays;
      for (let j = 0; j < substages; j++) {
        const at = firsts[i]! + j;
        const flow = rate * now[at]!;
        next[at]! -= (flow + (mortalityPerDay + hazard * (guild.eats[id] ?? 0)) * now[at]!) / steps;
        if (at + 1 < now.length) next[at + 1]! += flow / steps;
      }
    });
    next[0]! += (model.eggsPerAdultDay * model.femaleShare * of(model.stages.length - 1)) / steps;
    helpers +=
      (prey * hazard * guild.youngPerPrey + (guild.arrivePerDay * warmth * prey) / (guild.halfAt + prey) - helpers / guild.lifeDays) /
      steps;
    now = next;
  }
  return { amount: model.stages.reduce((sum, { feeds }, i) => sum + (feeds > 0 ? of(i) : 0), 0), helpers };
}

describe('a pest with helpers', () => {
  test('goes as small steps of a plain reference do', () => {
    for (const days of [10, 20, 30]) {
      const season = seasonOf(helped);
      for (let day = 0; day < days; day++) season.day(mild(), 6);
      const plain = plainly(helped, 20, days, 20);
      // Helpers are set anew once a day: while they break the pest down, by whole days of a rate that falls, it may be off by some percent.
      expect(Math.abs(season.amount / plain.amount - 1)).toBeLessThan(0.06);
      expect(Math.abs(season.helpers / plain.helpers - 1)).toBeLessThan(0.06);
    }
  });

  test('grows at the rate of Euler and Lotka once its ages are settled', () => {
    // Eggs of a mother over her life, discounted: Σ of stages (k·r)/(k·r + ...) to the kth power, times births over what ends a mother.
    const h = 10;
    const through = (r: number) =>
      pest.stages.slice(0, -1).reduce((product, one) => {
        const rate = (one.substages * h) / one.degreeDays;
        return product * (rate / (rate + one.mortalityPerDay + r)) ** one.substages;
      }, 1);
    const adult = pest.stages.at(-1)!;
    const rate = (adult.substages * h) / adult.degreeDays;
    const lifetime = (r: number) => {
      let [sum, left] = [0, 1];
      for (let j = 0; j < adult.substages; j++) {
        sum += left / (rate + adult.mortalityPerDay + r);
        left *= rate / (rate + adult.mortalityPerDay + r);
      }
      return sum;
    };
    let [low, high] = [0, 1];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (2 * lifetime(middle) * through(middle) > 1) low = middle;
      else high = middle;
    }
    const season = seasonOf(pest);
    season.day(mild(), 6);
    const before = season.amount;
    for (let day = 0; day < 10; day++) season.day(mild(), 6);
    expect(Math.log(season.amount / before) / 10).toBeCloseTo(low, 3);
  });

  test('a treatment takes its share, of what is sheltered less, and what stays goes on', () => {
    const open = seasonOf({ ...pest, stages: pest.stages.map((one) => ({ ...one, sheltered: one.id === 'young' ? 0.5 : 0 })) });
    const before = open.amount;
    const young = open.counts[1]!;
    open.treat(spray());
    expect(open.amount).toBeCloseTo(before - 0.5 * young - 0.8 * (before - young), 9);
    const [stays, goes] = [seasonOf(pest), seasonOf(pest)];
    stays.treat(spray({ residue: { lastsDays: 10 } }));
    goes.treat(spray());
    for (const one of [stays, goes]) for (let day = 0; day < 5; day++) one.day(mild(), 6);
    expect(stays.amount).toBeLessThan(0.5 * goes.amount);
    const rained = seasonOf(pest);
    rained.treat(spray({ residue: { lastsDays: 10, rainFastHours: 6 } }));
    for (let day = 0; day < 5; day++) rained.day({ ...mild(), rainMm: 40 }, 6);
    expect(rained.amount).toBeGreaterThan(2 * stays.amount);
  });

  test('killing the helpers brings the pest back', () => {
    const run = (sparesHelpers: number) => {
      const season = seasonOf({ ...helped, enemies: { ...helped.enemies!, initial: 1 } }, 40);
      season.treat(spray({ effect: { young: [0.3, 0.3] }, sparesHelpers }));
      for (let day = 0; day < 30; day++) season.day(mild(), 6);
      return season.amount;
    };
    expect(run(0)).toBeGreaterThan(1.5 * run(1));
  });

  test('a flight comes with the warmth of the year, and a net keeps its share off', () => {
    const flying: PestTrouble = { ...pest, arrivals: { stage: 'adult', count: 8, atDegreeDays: 200, spread: 20, lowerC: 10 } };
    const arrived = (nets: boolean) => {
      const season = seasonOf({ ...flying, eggsPerAdultDay: 0, stages: flying.stages.map((one) => ({ ...one, mortalityPerDay: 0 })) }, 0);
      if (nets) season.treat(spray({ effect: { arrivals: [0.75, 0.75] } }));
      const days: number[] = [];
      for (let day = 0; day < 40; day++) {
        season.day(mild(), 6);
        days.push(season.amount);
      }
      return days;
    };
    const [open, netted] = [arrived(false), arrived(true)];
    expect(open[9]!).toBeLessThan(0.1);
    expect(Math.max(...open)).toBeGreaterThan(6);
    expect(Math.max(...netted)).toBeCloseTo(0.25 * Math.max(...open), 6);
  });

  test('a seedling loses to few what a grown plant does not feel', () => {
    const lost = (ageDays: number | null) => {
      const season = seasonOf(pest, 5, asItIs, { ...grown, crop: { ageDays, leafDays: 60 } });
      for (let day = 0; day < 7; day++) season.day(mild(), 6);
      return season.lost;
    };
    expect(lost(0)).toBeGreaterThan(5 * lost(null));
  });

  test('never below nothing, never lost beyond what can be lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -5, max: 40, noNaN: true }), { minLength: 20, maxLength: 60 }),
        fc.double({ min: 0, max: 1e4, noNaN: true }),
        fc.array(fc.integer({ min: 0, max: 50 }), { maxLength: 6 }),
        (warmth, seen, sprays) => {
          const season = seasonOf({ ...helped, crowdedAt: 500, resistance: { ...pest.resistance, start: 0.01 } }, seen);
          warmth.forEach((celsius, day) => {
            if (sprays.includes(day)) season.treat(spray({ residue: { lastsDays: 5 }, group: 'a' }));
            const lost = season.lost;
            season.day(mild(celsius), 6);
            expect(season.amount).toBeGreaterThanOrEqual(0);
            expect(season.helpers).toBeGreaterThanOrEqual(0);
            expect(season.lost).toBeGreaterThanOrEqual(lost);
            expect(season.lost).toBeLessThanOrEqual(0.8);
            expect(season.resistant).toBeGreaterThanOrEqual(0);
            expect(season.resistant).toBeLessThanOrEqual(1);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('resistance', () => {
  test('by hand: one in ten alleles resists, nine in ten of the rest are killed', () => {
    const { kill, alleles } = selected(0.1, 0.9, 1, { start: 0.1, dominance: 0, escapes: 1 });
    // 1 % carry two and live; of 18 % and 81 % a tenth lives.
    expect(kill).toBeCloseTo(1 - (0.01 + 0.018 + 0.081), 12);
    expect(alleles).toBeCloseTo((0.01 + 0.009) / (0.01 + 0.018 + 0.081), 12);
  });

  test('where none is met, nothing changes; in turn it comes later than with one thing alone', () => {
    expect(selected(0.2, 0.9, 0, pest.resistance)).toEqual({ kill: 0, alleles: expect.closeTo(0.2, 12) as number });
    const after = (groups: readonly string[]) => {
      const season = seasonOf({ ...pest, resistance: { start: 0.01, dominance: 0.5, escapes: 0.95 } }, 500);
      for (const group of groups) {
        season.treat(spray({ group }));
        for (let day = 0; day < 7; day++) season.day(mild(), 6);
      }
      return season.resistant;
    };
    expect(after(['a', 'a', 'a', 'a'])).toBeGreaterThan(2 * after(['a', 'b', 'a', 'b']));
  });
});

const disease: DiseaseTrouble = {
  kind: 'disease',
  ...{ tMin: 4, tOpt: 18, tMax: 28, wetHours: 6, latentDays: 5, substages: 6, sporeDays: 10, spreadPerDay: 2, spotGrowthPerDay: 0 },
  newLeafPerDay: 0,
  arrivals: { perDay: 0.001, months: [6, 7] },
  resistance: { start: 0, dominance: 1, escapes: 0.9 },
  harm: { halfLossAt: 10, mostLoss: 0.7 },
  actAt: 0.02,
};
const wet = (wetHours = 24, meanC = 18): SeasonDay => ({ meanC, rainMm: 0, wetHours });
const sick = (model: DiseaseTrouble, seen = 0) => new DiseaseSeason(model, grown.crop, seen, asItIs);

describe('a disease of leaves', () => {
  test('does nothing in the dry, in the cold, or out of its months; and comes by itself in the wet', () => {
    const after = (weather: SeasonDay, month: number) => {
      const season = sick(disease);
      for (let day = 0; day < 20; day++) season.day(weather, month);
      return season.amount;
    };
    expect([after(wet(0), 6), after(wet(24, 2), 6), after(wet(), 9)]).toEqual([0, 0, 0]);
    expect(after(wet(), 6)).toBeGreaterThan(0.01);
    expect(after(wet(6), 6)).toBeLessThan(0.5 * after(wet(12), 6));
  });

  test('grows at the rate that latent and infectious periods give', () => {
    const quiet = { ...disease, arrivals: { ...disease.arrivals, perDay: 0 } };
    const season = sick(quiet, 1e-9);
    for (let day = 0; day < 40; day++) season.day(wet(), 6);
    const before = season.amount;
    for (let day = 0; day < 10; day++) season.day(wet(), 6);
    const r = Math.log(season.amount / before) / 10;
    // spread × share that hatches, discounted by growth, over what ends a spot that bears spores and growth.
    const hatch = (6 / 5 / (6 / 5 + r)) ** 6;
    expect((2 * hatch) / (r + 1 / 10)).toBeGreaterThan(0.9);
    expect((2 * hatch) / (r + 1 / 10)).toBeLessThan(1.1);
  });

  test('what is on the leaf keeps it off, what cures stops what hatches, what is cut is gone', () => {
    const after = (effect: SeasonAction['effect'], residue?: SeasonAction['residue']) => {
      const season = sick(disease, 0.02);
      season.treat(spray({ effect, residue }));
      const at = season.amount;
      for (let day = 0; day < 10; day++) season.day(wet(), 6);
      return [at, season.amount] as const;
    };
    const [seen, alone] = after({});
    expect(after({ protects: [0.9, 0.9] }, { lastsDays: 14 })[1]).toBeLessThan(0.6 * alone);
    expect(after({ cures: [0.9, 0.9] })[1]).toBeLessThan(0.9 * alone);
    expect(after({ clears: [0.5, 0.5] })[0]).toBeCloseTo(seen / 2, 12);
  });

  test('new leaf dilutes it, and leaf is never more than all of it', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 24 }), { minLength: 30, maxLength: 80 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (hours, seen) => {
          const [grows, stands] = [sick({ ...disease, newLeafPerDay: 0.03 }, seen), sick(disease, seen)];
          for (const one of hours) {
            grows.day(wet(one), 6);
            stands.day(wet(one), 6);
            expect(stands.amount).toBeLessThanOrEqual(1);
            expect(grows.amount).toBeLessThanOrEqual(stands.amount + 1e-9);
          }
        },
      ),
      { numRuns: 50 },
    );
  });

  test('a mildew needs no wet leaf and rain is in its way', () => {
    const { wetHours: _, ...dry } = disease;
    const after = (rainMm: number) => {
      const season = sick(dry, 0.001);
      for (let day = 0; day < 15; day++) season.day({ meanC: 18, rainMm, wetHours: 0 }, 6);
      return season.amount;
    };
    expect(after(0)).toBeGreaterThan(3 * after(20));
  });
});

test('leaf grows from a twenty-fifth to nearly all in its days; grown is grown', () => {
  const crop = { ageDays: 0, leafDays: 60 };
  expect(sizeAt(crop, 0)).toBeCloseTo(0.04, 9);
  expect(sizeAt(crop, 30)).toBeCloseTo(0.5, 9);
  expect(sizeAt(crop, 60)).toBeCloseTo(0.96, 9);
  expect(sizeAt({ ...crop, ageDays: null }, 0)).toBe(1);
});

test('ages of a growing population feed on one in all, and one flight begins with the youngest that feed', () => {
  const fed = growingAges(pest);
  expect(fed.slice(6).reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
  const barren = growingAges({ ...pest, eggsPerAdultDay: 0 });
  expect([...barren].findIndex((one) => one > 0)).toBe(6);
  expect(populationOf(pest).keep()).toHaveLength(18);
});

test.each([
  ['a stage twice', { stages: [pest.stages[0]!, pest.stages[0]!] }, 'an id of its own'],
  ['helpers that eat nobody', { enemies: { ...helped.enemies!, eats: { moth: 1 } } }, 'there is no moth'],
  ['more than all are female', { femaleShare: 1.5 }, 'femaleShare: must be from 0 to 1, got 1.5'],
  ['eggs beyond count', { eggsPerAdultDay: Number.NaN }, 'eggsPerAdultDay: must be from 0 to 1000, got NaN'],
  ['a loss of more than all', { harm: { halfLossAt: 5, mostLoss: 2 } }, 'harm.mostLoss'],
])('%s is refused with what is allowed', (_, change, words) => {
  expect(() => requireTrouble({ ...pest, ...change })).toThrow(words);
});

test('a disease that is best outside of its warmth is refused', () => {
  expect(() => requireTrouble({ ...disease, tOpt: 40 })).toThrow('tMin < tOpt < tMax');
});
