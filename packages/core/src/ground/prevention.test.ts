import { mulchSum, tasksDue } from './preventionTasks';
import type { DoneTask, Task } from './preventionTasks';
import { quarantineState } from './quarantine';

const today = '2026-07-18';

describe('quarantine', () => {
  const arrival = { from: '2026-06-20', days: 28, looks: 4, releasedOn: null };
  const looks = (days: readonly string[], clean = true) => days.map((on) => ({ on, clean }));

  test('looks are spread over the days, the last on the last day', () => {
    expect(quarantineState(arrival, [], '2026-06-20').nextLookOn).toBe('2026-06-27');
    expect(quarantineState(arrival, looks(['2026-06-27']), '2026-06-27').nextLookOn).toBe('2026-07-04');
    expect(quarantineState(arrival, looks(['2026-06-27', '2026-07-04', '2026-07-11']), '2026-07-11').nextLookOn).toBe('2026-07-18');
  });

  test('released only after the days and enough clean looks', () => {
    const enough = looks(['2026-06-27', '2026-07-04', '2026-07-11', '2026-07-17']);
    expect(quarantineState(arrival, enough, '2026-07-17')).toMatchObject({ looksLeft: 0, mayRelease: false, until: '2026-07-18' });
    expect(quarantineState(arrival, enough, today)).toMatchObject({ mayRelease: true, nextLookOn: null });
    expect(quarantineState(arrival, enough.slice(1), today)).toMatchObject({ mayRelease: false, looksLeft: 1 });
  });

  test('a find starts days and looks anew; looks of one day count once; those before it came do not', () => {
    const state = quarantineState(
      arrival,
      [...looks(['2026-06-27', '2026-07-12', '2026-07-12']), { on: '2026-07-04', clean: false }],
      today,
    );
    expect(state).toMatchObject({ cleanLooks: 1, looksLeft: 3, until: '2026-08-01', mayRelease: false });
    expect(quarantineState(arrival, looks(['2026-06-01']), today).cleanLooks).toBe(0);
  });

  test('once released it wants nothing', () => {
    expect(quarantineState({ ...arrival, releasedOn: '2026-07-18' }, [], today)).toMatchObject({ nextLookOn: null, mayRelease: false });
  });
});

describe('the prevention walk', () => {
  const mulch: Task = { id: 'mulch', kinds: ['bed'], months: [4, 5, 6, 7, 8, 9], everyDays: 45 };
  const glass: Task = { id: 'glass', kinds: ['tunnel'], months: [11, 12, 1, 2], everyDays: 365 };
  const places = [
    { id: 'long', kind: 'bed' },
    { id: 'tunnel', kind: 'tunnel' },
  ];
  const done = (change: Partial<DoneTask>): DoneTask => ({
    placeId: 'long',
    task: 'mulch',
    doneOn: '2026-07-01',
    outcome: 'done',
    ...change,
  });
  const dueOn = (list: readonly DoneTask[], day = today, hemisphere?: 'south') =>
    tasksDue([mulch], places.slice(0, 1), list, day, hemisphere).map((one) => one.dueOn);

  test('each task in the places that it is for', () => {
    expect(tasksDue([mulch, glass], places, [], today).map(({ task, placeId, dueOn }) => [task, placeId, dueOn])).toEqual([
      ['mulch', 'long', today],
      ['glass', 'tunnel', '2026-11-01'],
    ]);
  });

  test('after its interval, soon again if it was found wanting, and by the newest time it was done', () => {
    expect(dueOn([done({})])).toEqual(['2026-08-15']);
    expect(dueOn([done({ outcome: 'wants-work' })])).toEqual(['2026-07-04']);
    expect(dueOn([done({}), done({ doneOn: '2026-07-10' })])).toEqual(['2026-08-24']);
  });

  test('out of season it waits for the season', () => {
    expect(dueOn([done({ doneOn: '2026-09-20' })])).toEqual(['2027-04-01']);
    expect(dueOn([], '2026-12-05')).toEqual(['2027-04-01']);
    expect(dueOn([], '2026-12-05', 'south')).toEqual(['2026-12-05']);
  });
});

describe('mulch', () => {
  const wanted = { low: 4, high: 8 };
  test.each([
    [10, 1, { act: 'add', litres: 500 }],
    [10, 4, { act: 'leave', litres: 0 }],
    [36, 12, { act: 'remove', litres: 2160 }],
    [0.5, 0, { act: 'add', litres: 30 }],
  ] as const)('%d m² at %d cm', (area, depth, sum) => {
    expect(mulchSum(area, depth, wanted)).toEqual(sum);
  });

  test('refuses areas and depths that can not be', () => {
    expect(() => mulchSum(0, 3, wanted)).toThrow('area');
    expect(() => mulchSum(3, -1, wanted)).toThrow('depth');
  });
});
