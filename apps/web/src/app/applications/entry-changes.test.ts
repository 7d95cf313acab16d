import type { Application, PastVersion } from '@field-nurse/contract';
import { entryChanges } from './entry-changes';

const names = { planting: () => 'Leek', intervention: (id: string) => id, product: (id: string) => id, timeZone: 'Europe/London' };
const entry = (more: Partial<Application>) =>
  ({
    intervention: 'sulphur',
    appliedAt: '2026-07-01T08:00:00Z',
    targets: [{ plantingId: 'a', plants: 20, coveredPart: 'leaves' }],
    productId: null,
    productMl: null,
    productG: 6,
    productPieces: null,
    waterL: 2,
    kit: '',
    why: '',
    appliedBy: 'Isa',
    temperatureC: null,
    windKmh: null,
    sky: '',
    ...more,
  }) as Application;
const version = (number: number, record: Application | null, by: string | null = 'Wren'): PastVersion => ({
  version: number,
  at: `2026-07-0${number}T09:00:00Z`,
  by,
  isUndo: false,
  record,
});

test('each correction says what stood there before', () => {
  const changes = entryChanges([version(1, entry({})), version(2, entry({ productG: 60, why: 'rust' }), null)], names);
  expect(changes).toEqual([
    {
      at: '2 Jul, 10:00',
      by: 'somebody whose account is gone',
      whole: undefined,
      fields: [
        { name: 'Amount', from: '6 g', to: '60 g' },
        { name: 'Why', from: 'nothing', to: 'rust' },
      ],
    },
    { at: '1 Jul, 10:00', by: 'Wren', whole: 'written', fields: [] },
  ]);
});

test('taken out and written again', () => {
  const changes = entryChanges([version(1, entry({})), version(2, null), version(3, entry({}))], names);
  expect(changes.map(({ whole }) => whole)).toEqual(['written', 'taken out', 'written']);
});
