import { endpoints } from '@field-nurse/contract';
import type { Written } from '@field-nurse/contract';
import { dayAt } from '@field-nurse/core/timing';
import type { Library } from '@field-nurse/library';
import type Router from '@koa/router';
import { deepEqual } from 'fast-equals';
import { eq } from 'drizzle-orm';
import { ApiError, invalidField } from '../http/apiError.js';
import { serve } from '../api/serve.js';
import type { Deps } from '../deps.js';
import { writeRecord } from '../records/writeRecord.js';
import { gardenClock } from '../gardens/gardenQueries.js';
import { gardens } from '../gardens/tables.js';
import { writeOf } from '../records/writeOf.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { requireEntry } from '../library/requireEntry.js';
import { askClinics, register } from './askClinics.js';
import { ClinicFault } from './clinics.js';
import { isRegistered, keepReceipt, reportsOf } from './queries.js';
import type { SampleRow } from './queries.js';

type Sample = Required<Written<'clinicSamples'>>;

/** Samples for plant clinics, and what the clinics say of them. */
export function clinicRoutes(router: Router, deps: Deps): void {
  const { db, clinics } = deps;

  serve(router, deps, endpoints.clinics, async () => [...(await clinics.list().catch(silent))]);

  serve(router, deps, endpoints.clinicReports, ({ params }) => reportsOf(db, params.garden));

  serve(router, deps, endpoints.askClinics, async ({ params }) => {
    await askClinics(deps, params.garden).catch(silent);
    return reportsOf(db, params.garden);
  });

  /** A new sample is registered with its clinic before it is kept; when it is sent, the clinic is asked once at once. */
  serve(router, deps, endpoints.writeClinicSample, async ({ params: { garden, record }, body, access }) => {
    const { value } = body;
    const library = await gardenLibrary(deps, garden);
    value.testFor.forEach((condition, i) => requireEntry(library.conditions, condition, ['value', 'testFor', i]));
    value.results.forEach(({ condition }, i) => requireEntry(library.conditions, condition, ['value', 'results', i, 'condition']));
    await refuseNotifiable(deps, library, garden, value);
    const { now, timeZone } = await gardenClock(db, garden, deps.now);
    refuseFuture(value, dayAt(now.toISOString(), timeZone));

    const registered = await isRegistered(db, garden, record);
    if (registered && !isSameSample(registered, value))
      throw new ApiError(
        422,
        'registered',
        'The clinic knows this sample already: what it is tested for can not be changed. Register another.',
      );
    const { clinic } = value;
    const asked = clinic && { ...value, clinic, gardenId: garden, id: record };
    if (asked && !registered) await requireOffered(deps, library, asked);
    const receipt = asked && !registered ? await register(deps, library, asked).catch(silent) : undefined;
    const write = writeOf(deps, { params: { garden }, body, access });
    const stored = await writeRecord(db, 'clinicSamples', record, body.version, value, write);
    if (asked && receipt) await keepReceipt(db, asked as unknown as SampleRow, receipt, now.toISOString());
    if (asked && value.sentOn) await askClinics(deps, garden).catch(laterThen);
    return stored;
  });
}

async function refuseNotifiable({ db }: Deps, library: Library, gardenId: string, { testFor }: Sample): Promise<void> {
  const [garden] = await db.select({ region: gardens.region }).from(gardens).where(eq(gardens.id, gardenId));
  const region = library.regions.find(({ id }) => id === garden?.region);
  const suspect = testFor.find((condition) => region?.notifiable.includes(condition));
  if (suspect)
    throw new ApiError(
      422,
      'notifiable',
      `This must be reported here: nothing may leave the site. Call ${region!.authority}; they take the sample themselves.`,
      { rule: { condition: suspect } },
    );
}

function refuseFuture(value: Sample, today: string): void {
  for (const field of ['registeredOn', 'sentOn', 'reportedOn'] as const)
    if ((value[field] ?? '') > today) throw invalidField(['value', field], 'future', 'This day is yet to come.');
}

const isSameSample = (before: SampleRow, { caseId, clinic, material, testFor }: Sample) =>
  before.caseId === caseId && before.clinic === clinic && before.material === material && deepEqual(before.testFor, testFor);

/** The clinic must be there, and have a test for each kind of trouble. */
async function requireOffered({ clinics }: Deps, library: Library, { clinic, testFor }: Sample & { clinic: string }): Promise<void> {
  const offer = (await clinics.list().catch(silent)).find(({ id }) => id === clinic);
  if (!offer) throw invalidField(['value', 'clinic'], 'unknown-clinic', 'This clinic is not there.');
  testFor.forEach((condition, i) => {
    const entry = library.conditions.find(({ id }) => id === condition)!;
    if (!offer.methods.some(({ kind }) => kind === entry.kind))
      throw invalidField(['value', 'testFor', i], 'no-test', `${offer.name} has no test for ${entry.name}.`);
  });
}

function silent(error: unknown): never {
  if (!(error instanceof ClinicFault)) throw error;
  throw new ApiError(503, 'clinic-silent', 'The plant clinic does not answer. What you entered is still here; try again in a while.');
}

/** What was written stands; the clinic is asked again by itself. */
function laterThen(error: unknown): void {
  if (!(error instanceof ClinicFault)) throw error;
}
