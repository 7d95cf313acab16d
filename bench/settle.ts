import { readWords } from '@field-nurse/core/diagnosis';
import { answerDifferential } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs'; import { parse } from 'yaml';
const library = JSON.parse(readFileSync('packages/library/generated/index.json', 'utf8'));
let n=0,s=0,r=0; const c: Record<string, number>={};
for (const d of parse(readFileSync('bench/descriptions/growers.yaml','utf8'))) { const a = answerDifferential(library, {host:d.plant,setting:d.setting,month:d.month,text:d.words}); const w = readWords(library, d.words, library.hosts.find((h:any)=>h.id===a.host.id)); n++; if(a.settled){s++; r+=+d.causes.flat().includes(a.ranked[0]!.condition);} c[Math.min(6,w.unreadTelling.length)]=(c[Math.min(6,w.unreadTelling.length)]??0)+1; if(n<25) console.log(d.id, w.unreadTelling.join(' '), '| ev', w.events.map((e:any)=>e.event+':'+e.phrase).join('; ')); }
console.log(n,s,r,c);
