import type Router from '@koa/router';
import type { Letter, Mailbox } from './mailbox.js';

/** The letters to read, as a page and as JSON. */
export function mailboxRoutes(router: Router, { letters }: Pick<Mailbox, 'letters'>): void {
  router.get('/mailbox.json', (ctx) => {
    ctx.body = { letters };
  });
  router.get('/mailbox', (ctx) => {
    ctx.type = 'html';
    ctx.body = page(letters);
  });
}

const page = (letters: readonly Letter[]) => `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><title>Letters sent by Field Nurse</title>
<style>body{font:16px/1.5 sans-serif;max-width:46rem;margin:2rem auto;padding:0 1rem}pre{white-space:pre-wrap;font:inherit}article{border-top:1px solid #999}</style></head>
<body><h1>Letters sent by Field Nurse</h1>
<p>A mailbox that stands in for the outside world: nothing leaves this machine.</p>
${letters.length === 0 ? '<p>No letter yet.</p>' : letters.map(article).join('\n')}
</body></html>`;

const article = ({ to, from, subject, text }: Letter) =>
  `<article><h2>${escape(subject)}</h2><p>To ${escape(to)}, from ${escape(from)}</p><pre>${linked(escape(text))}</pre></article>`;

const escape = (text: string) => text.replace(/[&<>"]/g, (letter) => `&#${letter.codePointAt(0)};`);
const linked = (text: string) => text.replace(/https?:\/\/[^\s<]+/g, (url) => `<a href="${url}">${url}</a>`);
