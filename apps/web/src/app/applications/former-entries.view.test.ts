import { of, throwError } from 'rxjs';
import { partsOf } from '@field-nurse/library/parts';
import type { PartName } from '@field-nurse/library/parts';
import { Api } from '../api/api';
import { reference, show } from '../testing/show';
import { application } from '../testing/test-garden';
import { FormerEntries } from './former-entries';

const api = (pastVersions: () => unknown) => ({
  provide: Api,
  useValue: { libraryPart: (part: PartName) => of(partsOf(reference)[part]), pastVersions },
});

test('what stood there before, and who corrected it', async () => {
  const versions = [
    { version: 1, at: '2026-07-02T19:00:00.000Z', by: 'Wren', isUndo: false, record: application },
    { version: 2, at: '2026-07-03T19:00:00.000Z', by: 'Isa', isUndo: false, record: { ...application, productG: 60 } },
  ];
  const { text } = await show(FormerEntries, { application: 'a', version: 2 }, { providers: [api(() => of(versions))] });
  expect(text()).toContain('3 Jul, 20:00, Isa: corrected');
  expect(text()).toContain('Amount: 6 g → 60 g');
  expect(text()).toContain('2 Jul, 20:00, Wren: written');
});

test('without signal it says that only the entry as it is now is here', async () => {
  const fault = () => throwError(() => new Error('No signal.'));
  const { text } = await show(FormerEntries, { application: 'a', version: 2 }, { providers: [api(fault)] });
  expect(text()).toContain('only the entry as it is now');
});
