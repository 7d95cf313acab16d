import { of, throwError } from 'rxjs';
import { ApiError } from '../api/api-error';
import { contents, summary } from '../testing/test-garden';
import { emptyDevice, outcome } from '../testing/outcome';
import { openGarden, openSeason, seekRecord } from './garden-effects';
import { GardenActions } from '../store/garden-state';

const down = () => throwError(() => new ApiError(503, 'database-down', 'The database is not answering.'));
const copy = { contents, seasons: ['2025-01-01'], savedAt: 'then' };
const gone = () => throwError(() => new ApiError(0, 'offline', 'No answer.'));
const opened = GardenActions.opened({ garden: 'g' });
const fromCopy = GardenActions.loaded({ contents, seasons: ['2025-01-01'] });

test('opening a garden that this device does not know loads its season, or says why not', async () => {
  expect((await outcome(openGarden, opened, { gardenContents: () => of(contents) })).action).toEqual(
    GardenActions.loaded({ contents, seasons: [] }),
  );
  expect((await outcome(openGarden, opened, { gardenContents: down })).action).toEqual(
    GardenActions.failed({ message: 'The database is not answering.' }),
  );
});

describe('a garden that this device knows', () => {
  const device = { ...emptyDevice, gardenCopy: async () => copy };

  test('is there at once, and then what came since, with what waits here on top', async () => {
    const records = [{ subject: 'places', id: 'bed', record: null }];
    const newerRecords = () => of({ garden: contents.garden, sequence: 9, whole: false, records });
    const waiting = { subject: 'places', id: 'sill', record: { id: 'sill' } };
    const known = { ...device, waitingRecords: async () => [waiting] };
    const { actions } = await outcome(openGarden, opened, { newerRecords }, known);
    expect(actions).toEqual([fromCopy, GardenActions.caughtUp({ garden: contents.garden, records: [...records, waiting] as never })]);
  });

  test('of which too much changed, or whose season is over, is fetched anew', async () => {
    const anew = { ...contents, sequence: 5000 };
    const newerRecords = () => of({ garden: contents.garden, sequence: 7, whole: true, records: [] });
    const { actions } = await outcome(openGarden, opened, { newerRecords, gardenContents: () => of(anew) }, device);
    expect(actions).toEqual([fromCopy, GardenActions.loaded({ contents: anew, seasons: [] })]);
    const old = { ...contents, season: { from: '2025-01-01', to: '2025-12-31' } };
    const lastYears = { ...device, gardenCopy: async () => ({ ...copy, contents: old }) };
    const { actions: later } = await outcome(openGarden, opened, { gardenContents: () => of(anew) }, lastYears);
    expect(later[1]).toEqual(GardenActions.loaded({ contents: anew, seasons: [] }));
  });

  test('is as it was while no server answers', async () => {
    expect((await outcome(openGarden, opened, { newerRecords: gone }, device)).actions).toEqual([
      fromCopy,
      GardenActions.fellBehind({ asOf: 'then' }),
    ]);
  });

  test('and that may not be seen any more is forgotten', async () => {
    const forgotten: string[] = [];
    const removed = { ...device, forgetCopy: async (id: string) => void forgotten.push(id) };
    const refuse = () => throwError(() => new ApiError(404, 'not-found', 'This garden is not here.'));
    const { actions } = await outcome(openGarden, opened, { newerRecords: refuse }, removed);
    expect(actions.at(-1)).toEqual(GardenActions.failed({ message: 'This garden is not here.' }));
    expect(forgotten).toEqual(['g']);
  });
});

describe('an older season', () => {
  const asked = GardenActions.seasonOpened({ day: '2025-06-01' });
  const loaded = GardenActions.seasonLoaded({ from: '2025-01-01', contents });

  test('is fetched once, however often it is asked for', async () => {
    let fetched = 0;
    const season = () => of(contents);
    const state = () => ({ garden: summary, seasons: fetched++ > 0 ? ['2025-01-01'] : [] });
    expect((await outcome(openSeason, [asked, asked, asked], { season }, emptyDevice, state)).actions).toEqual([loaded]);
  });

  test('that does not come says why', async () => {
    const state = () => ({ garden: summary, seasons: [] });
    expect((await outcome(openSeason, asked, { season: gone }, emptyDevice, state)).actions).toEqual([
      GardenActions.seasonFailed({ message: 'No answer.' }),
    ]);
  });
});

describe('a record that an address names', () => {
  const sought = GardenActions.recordSought({ id: 'x' });
  const notFound = GardenActions.recordNotFound({ id: 'x' });
  const state = () => ({ garden: summary, seasons: ['2024-01-01'] });
  const seek = async (dayOfRecord: () => unknown) =>
    (await outcome(seekRecord, sought, { dayOfRecord, season: () => of(contents) }, emptyDevice, state)).actions;

  test('comes with its season; from then on it is here or nowhere', async () => {
    expect(await seek(() => of({ day: '2025-06-01' }))).toEqual([GardenActions.seasonLoaded({ from: '2025-01-01', contents }), notFound]);
    expect(await seek(() => of({ day: '2024-06-01' }))).toEqual([notFound]);
  });

  test('that the garden has not, or that nobody answers for, is not found', async () => {
    expect(await seek(() => throwError(() => new ApiError(404, 'not-found', 'This record is not here.')))).toEqual([notFound]);
    expect(await seek(gone)).toEqual([notFound]);
  });
});
