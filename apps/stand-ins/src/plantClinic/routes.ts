import { bodyParser } from '@koa/bodyparser';
import type Router from '@koa/router';
import type { Context } from 'koa';
import { z } from 'zod';
import { simulateFaults } from '../simulatedFaults.js';
import { clinic, methods, packing } from './catalog.js';
import { courseOf } from './course.js';
import type { Registered } from './course.js';

const registration = z.strictObject({
  sample: z.uuid(),
  crop: z.string().min(1).max(120),
  material: z.enum(Object.keys(packing) as [string]),
  requests: z
    .array(
      z.strictObject({ code: z.string().min(1).max(80), kind: z.enum(Object.keys(methods) as [string]), chance: z.number().min(0).max(1) }),
    )
    .min(1)
    .max(6),
});
const enquiry = z.strictObject({
  receipt: z.string().max(4000),
  sent_on: z.iso.date().nullable(),
  packed: z.array(z.string().max(40)).max(20),
  as_of: z.iso.date(),
});

/**
 * A plant clinic over HTTP: what it tests for, how to pack, registering a sample, and asking how it fares. It keeps nothing: the receipt holds all
 * that it needs to know, so that it may be started afresh at any time.
 */
export function plantClinicRoutes(router: Router): void {
  simulateFaults(router, '/clinics');
  const json = bodyParser({ enableTypes: ['json'], jsonLimit: '20kb' });

  router.get('/clinics', (ctx) => {
    ctx.body = {
      clinics: [{ ...clinic, methods: Object.entries(methods).map(([kind, method]) => ({ kind, ...method })), packing }],
    };
  });

  router.post('/clinics/:clinic/samples', json, (ctx) => {
    if (ctx.params['clinic'] !== clinic.id) return ctx.throw(404);
    const sample = read(ctx, registration);
    if (!sample) return;
    ctx.status = 201;
    ctx.body = { reference: `RB-${sample.sample.slice(0, 6).toUpperCase()}`, receipt: receiptOf(sample) };
  });

  router.post('/clinics/:clinic/enquiries', json, (ctx) => {
    if (ctx.params['clinic'] !== clinic.id) return ctx.throw(404);
    const asked = read(ctx, enquiry);
    if (!asked) return;
    const sample = sampleOf(asked.receipt);
    if (!sample) return void Object.assign(ctx, { status: 404, body: { fault: 'no sample has this receipt' } });
    ctx.body = courseOf(sample, asked.sent_on, asked.packed, asked.as_of);
  });
}

function read<T>(ctx: Context, schema: z.ZodType<T>): T | undefined {
  const result = schema.safeParse(ctx.request.body);
  if (result.success) return result.data;
  Object.assign(ctx, { status: 400, body: { fault: z.prettifyError(result.error) } });
  return undefined;
}

const receiptOf = (sample: Registered) => Buffer.from(JSON.stringify(sample)).toString('base64url');

function sampleOf(receipt: string): Registered | undefined {
  try {
    return registration.safeParse(JSON.parse(Buffer.from(receipt, 'base64url').toString())).data;
  } catch {
    return undefined;
  }
}
