import { application, place, planting } from '../testing/test-garden';
import { logLines } from './log-rows';

describe('lines of the record', () => {
  const names = {
    planting: () => planting,
    place: () => place,
    host: () => 'Leek',
    intervention: () => 'Sulphur',
  };
  const old = { ...application, id: 'old', appliedAt: '2025-08-01T18:00:00.000Z' };

  test('bear all their names, newest first', () => {
    const lines = logLines([old, application], undefined, names, 'UTC');
    expect(lines.map(({ id }) => id)).toEqual(['a', 'old']);
    expect(lines[0]).toMatchObject({ treatment: 'Sulphur', targets: [{ plant: 'Leek', cultivar: 'Spar', place: 'Bed' }] });
  });

  test('of one year', () => {
    expect(logLines([old, application], '2025', names, 'UTC').map(({ id }) => id)).toEqual(['old']);
  });

  test('of the garden’s year, not of Greenwich’s', () => {
    const newYear = { ...application, appliedAt: '2025-12-31T12:30:00.000Z' };
    expect(logLines([newYear], '2026', names, 'Pacific/Auckland')).toHaveLength(1);
    expect(logLines([newYear], '2025', names, 'Pacific/Auckland')).toHaveLength(0);
  });

  test('of a planting that is gone still stand', () => {
    expect(logLines([application], undefined, { ...names, planting: () => undefined, place: () => undefined }, 'UTC')).toHaveLength(1);
  });
});
