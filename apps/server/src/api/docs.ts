import type Router from '@koa/router';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import send from 'koa-send';
import { openApiDocument } from './openapi.js';

const page = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>Field Nurse API</title><link rel="stylesheet" href="/api/docs/swagger-ui.css"></head>
<body><div id="reader"></div><script src="/api/docs/swagger-ui-bundle.js"></script><script src="/api/docs/start.js"></script></body></html>`;
const start = `SwaggerUIBundle({ url: '/api/openapi.json', dom_id: '#reader', deepLinking: true });`;

/** The API document and a reader for it, served from here. */
export function docsRoutes(router: Router, version: string): void {
  // Made when somebody asks first: it takes longer than all else that a server starts with.
  let document: object | undefined;
  const assets = dirname(createRequire(import.meta.url).resolve('swagger-ui-dist/package.json'));
  router.get('/api/openapi.json', (ctx) => {
    ctx.body = document ??= openApiDocument(version);
  });
  router.get('/api/docs', (ctx) => {
    ctx.type = 'html';
    ctx.body = page;
  });
  router.get('/api/docs/start.js', (ctx) => {
    ctx.type = 'js';
    ctx.body = start;
  });
  router.get('/api/docs/:file', async (ctx) => {
    if (['swagger-ui.css', 'swagger-ui-bundle.js'].includes(ctx.params['file']!)) await send(ctx, ctx.params['file']!, { root: assets });
  });
}
