import { createHash } from 'node:crypto';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { crossCheck } from '../src/crossCheck.js';
import { readLibrary } from '../src/files.js';
import { partNames, partsOf } from '../src/parts.js';
import { reportOn } from '../src/report.js';

const root = join(import.meta.dirname, '..');
const library = readLibrary(join(root, 'data'));
const faults = crossCheck(library);
if (faults.length > 0) {
  console.error(faults.join('\n'));
  process.exit(1);
}
mkdirSync(join(root, 'generated'), { recursive: true });
// Whoever keeps a copy asks by this version whether it is still the newest.
const hash = createHash('sha256').update(JSON.stringify(library)).digest('hex').slice(0, 12);
const versioned = { ...library, version: `${library.version}-${hash}` };
const parts = partsOf(versioned);
writeFileSync(join(root, 'generated/index.json'), JSON.stringify(versioned));
for (const name of partNames) writeFileSync(join(root, `generated/${name}.json`), JSON.stringify(parts[name]));
const { hosts, signs, conditions, interventions, checks } = library;
console.log(
  `library: ${conditions.length} conditions, ${hosts.length} hosts, ${signs.length} signs, ${interventions.length} interventions, ${checks.length} checks`,
);
if (process.argv.includes('--report')) console.log(reportOn(library));
