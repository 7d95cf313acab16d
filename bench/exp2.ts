import type { Library } from '@field-nurse/library';
import { answerDifferential } from '@field-nurse/library/answers';
import { readFileSync } from 'node:fs';
import { parse } from 'yaml';
import { readyLanguage } from '../packages/core/src/diagnosis/text/language.js';
import { contentStems } from '../packages/core/src/diagnosis/text/tokens.js';
const library = JSON.parse(readFileSync('packages/library/generated/index.json', 'utf8')) as Library;
const facts = library.languages[0]! as any;
const lang = readyLanguage(facts);
const ord = new Set([...lang.ordinary].map(lang.stemOf));
const signs = new Map(library.signs.map((s) => [s.id, s]));
const TW = Number(process.env.TW ?? 0.5);
const SPL = (0, eval)('(' + /splits: Readonly<[^=]*= (\{[\s\S]*?\n\});?/.exec(readFileSync('bench/descriptions.ts', 'utf8'))![1]! + ')');
const F: any = { always: 1, often: 0.7, sometimes: 0.35, seldom: 0.1, never: 0 };
const docs = new Map<string, Map<string, number>>();
const df = new Map<string, number>();
for (const c of library.conditions as any[]) {
  const d = new Map<string, number>();
  const add = (t: string, w: number) => { for (const s of contentStems(t, lang)) if (!ord.has(s)) d.set(s, Math.max(d.get(s) ?? 0, w)); };
  add(c.name, 1); c.names.forEach((n: string) => add(n, 1)); add(c.summary, 0.8);
  c.stages.forEach((s: any) => add(s.does, 0.6)); 
  for (const [id, f] of Object.entries(c.signs)) { const s: any = signs.get(id); if (F[f as string]) { add(s.name, F[f as string]); s.words.forEach((w: string) => add(w, F[f as string] * 0.7)); } }
  docs.set(c.id, d);
  for (const s of d.keys()) df.set(s, (df.get(s) ?? 0) + 1);
}
for (const f of ['tuning', 'setAside']) for (const d of parse(readFileSync(`bench/descriptions/${f}.yaml`, 'utf8')) as any[]) {
  for (const c of (SPL[d.cause] ?? [d.cause])) { const doc = docs.get(c); if (!doc) continue; for (const s of contentStems(d.words, lang)) if (!ord.has(s)) { if (!doc.has(s)) df.set(s, (df.get(s) ?? 0) + 1); doc.set(s, Math.max(doc.get(s) ?? 0, TW)); } }
}
const N = library.conditions.length;
const splitsSrc = readFileSync('bench/descriptions.ts', 'utf8');
const splits = (0, eval)('(' + /splits: Readonly<[^=]*= (\{[\s\S]*?\n\});?/.exec(splitsSrc)![1]! + ')');
for (const set of process.argv.slice(2)) {
  const list = parse(readFileSync(`bench/descriptions/${set}.yaml`, 'utf8')) as any[];
  const got = list.map((d) => {
    const causes = d.causes.map((c: string[]) => c.flatMap((i) => splits[i] ?? [i]));
    let a; try { a = answerDifferential(library, { host: d.plant, setting: d.setting, month: d.month, text: d.words }); } catch { return undefined; }
    return { d, causes, a };
  }).filter(Boolean) as any[];
  for (const k of [0, 0.05, 0.1, 0.15, 0.2]) for (const cap of [4, 8]) {
    let f = 0, t = 0, n = 0, b = 0, bn = 0;
    for (const { d, causes, a } of got) {
      const un = contentStems(d.words, lang).filter((s: any) => !ord.has(s));
      const rescored = a.ranked.map((r: any) => {
        const doc = docs.get(r.condition)!;
        let s = 0; for (const u of un) s += (doc.get(u) ?? 0) * Math.log(1 + N / (df.get(u) ?? 1));
        const p = Math.min(0.999, Math.max(1e-6, r.probability));
        return { c: r.condition, s: Math.log(p / (1 - p)) + Math.min(cap, k * s) };
      }).sort((x: any, y: any) => y.s - x.s);
      const places = causes.map((acc: string[]) => rescored.findIndex((r: any) => acc.includes(r.c)) + 1);
      if (places.length === 1) { n++; f += +(places[0] === 1); t += +(places[0] > 0 && places[0] <= 3); } else { bn++; b += +places.every((p: number) => p > 0 && p <= 4); }
    }
    console.log(set, k, cap, (100 * f / n).toFixed(1), (100 * t / n).toFixed(1), 'two', (100 * b / bn).toFixed(1));
  }
}
