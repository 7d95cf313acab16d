import { writeFileSync } from 'node:fs';
import { drawnLeaf } from './lib/drawnLeaf.js';

// Write the drawn leaf to the file that is named: for a picture of the leaf gauge.
writeFileSync(process.argv[2]!, await drawnLeaf());
