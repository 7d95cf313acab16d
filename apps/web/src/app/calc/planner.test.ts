import type { CalculationRequest } from '@field-nurse/contract';
import { expose } from 'comlink';
import type { PlanMove } from './plan.worker';
import { Planner } from './planner';

type Solve = (request: CalculationRequest<'plan'>, line: MessagePort) => Promise<unknown>;

/** Workers that solve as they are told to; each can be stopped. */
function workersThat(plan: Solve) {
  const stopped: boolean[] = [];
  const newWorker = () => {
    const { port1, port2 } = new MessageChannel();
    const index = stopped.push(false) - 1;
    expose({ plan }, port2);
    port1.start();
    return Object.assign(port1, {
      terminate: () => {
        stopped[index] = true;
        port1.close();
      },
    }) as unknown as Worker;
  };
  return { stopped, planner: new Planner(newWorker) };
}

const request = { start: '2026-07-18' } as CalculationRequest<'plan'>;
const move = { round: 'r 1', date: '2026-07-19', slot: 'morning' } as PlanMove;

test('tells what is reckoned on the way, and then the answer; one worker serves the next plan too', async () => {
  const { stopped, planner } = workersThat(async (asked, line) => {
    line.postMessage({ move, of: 55 });
    await new Promise((resolve) => setTimeout(resolve, 20));
    return { schedule: [asked.start] };
  });
  const told: unknown[] = [];
  const answer = await planner.plan(request, new AbortController().signal, (one, of) => told.push([one, of]));
  expect(answer).toEqual({ schedule: ['2026-07-18'] });
  expect(told).toEqual([[move, 55]]);
  await planner.plan(request, new AbortController().signal);
  expect(stopped).toEqual([false]);
  planner.close();
  expect(stopped).toEqual([true]);
});

test('what is not wanted any more is stopped at once, and the next plan begins a new worker', async () => {
  const never = new Promise(() => undefined);
  const { stopped, planner } = workersThat((asked) => (asked.start === '2026-07-18' ? never : Promise.resolve({ schedule: [] })));
  const unwanted = new AbortController();
  const lost = planner.plan(request, unwanted.signal);
  unwanted.abort();
  await expect(lost).rejects.toThrow('aborted');
  expect(stopped).toEqual([true]);
  expect(await planner.plan({ ...request, start: '2026-07-19' }, new AbortController().signal)).toEqual({ schedule: [] });
  expect(stopped).toEqual([true, false]);
  planner.close();
});

test('what was given up before it began starts nothing', async () => {
  const { stopped, planner } = workersThat(() => Promise.resolve({}));
  await expect(planner.plan(request, AbortSignal.abort())).rejects.toThrow('aborted');
  expect(stopped).toEqual([]);
});
