import { morningSentence } from './morning';

const quiet = { keepOut: [], looks: [], toDecide: [], jobs: 0, round: 0, traps: 0 };
const blight = { name: 'late blight on the potatoes', worse: true };
const scale = { name: 'soft scale on the hoya', worse: false };

test.each([
  [{}, 'Nothing is asked of you today.'],
  [{ round: 1 }, 'Today: one planting on the round.'],
  [{ jobs: 2, traps: 1 }, 'Today: 2 jobs of the plan and one trap.'],
  [{ round: 12, traps: 2 }, 'Today: 12 plantings on the round and 2 traps.'],
  [{ toDecide: ['The hoya'] }, 'The hoya waits for you to decide.'],
  [{ looks: [scale] }, 'Look at soft scale on the hoya today.'],
  [
    { looks: [{ ...blight, name: 'Late blight on the potatoes' }, scale], toDecide: ['The rose'], round: 12 },
    'Late blight on the potatoes is getting worse: look at it first; then one other case to look at, one case to decide on and 12 plantings on the round.',
  ],
  [
    { keepOut: [{ name: 'Tunnel', until: '14:00' }], looks: [blight, scale], round: 3 },
    'Keep out of Tunnel until 14:00; then 2 cases to look at and 3 plantings on the round.',
  ],
])('%j: %s', (morning, sentence) => expect(morningSentence({ ...quiet, ...morning })).toBe(sentence));
