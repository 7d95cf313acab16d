import type { Stored, Subject, TableName } from '@field-nurse/contract';
import type { Cell } from './csv.js';
import { ground, removals } from './groundTables.js';
import { each, idColumn, note, standing } from './tableColumns.js';
import type { ListTable, TableNames } from './tableColumns.js';

interface TreatmentLine {
  readonly one: Stored<'applications'>;
  readonly target: Stored<'applications'>['targets'][number];
}
interface CatchLine {
  readonly one: Stored<'catches'>;
  readonly caught: { readonly what: string; readonly count: number } | undefined;
}

const places = each('places', 'name', [
  idColumn,
  { name: 'place', says: 'its name', of: ({ name }) => name },
  { name: 'kind', says: 'bed, tunnel, windowsill, …', of: ({ kind }) => kind },
  { name: 'setting', says: 'outdoor, greenhouse, indoor or hydroponic', of: ({ setting }) => setting },
  { name: 'areaM2', says: 'square metres', of: ({ areaM2 }) => areaM2 },
  { name: 'light', says: 'sun, half or shade', of: ({ light }) => light },
  { name: 'endedOn', says: 'last day', of: ({ endedOn }) => endedOn },
  note,
]);

const plantings = each('plantings', 'plantedOn', [
  idColumn,
  ...standing<Stored<'plantings'>>(({ id }) => id),
  { name: 'plants', says: 'how many', of: ({ plants }) => plants },
  { name: 'rows', says: 'in how many rows', of: ({ rows }) => rows },
  { name: 'plantedOn', says: 'first day', of: ({ plantedOn }) => plantedOn },
  { name: 'endedOn', says: 'last day; empty while it stands', of: ({ events }) => events.find(({ kind }) => kind === 'ended')?.on ?? null },
  { name: 'setting', says: 'how it was planted', of: ({ setting }) => setting },
  { name: 'eaten', says: 'true or false', of: ({ eaten }) => eaten },
  note,
]);

const treatments: ListTable<'applications', TreatmentLine> = {
  subject: 'applications',
  orderedBy: 'appliedAt',
  linesOf: (one) => one.targets.map((target) => ({ one, target })),
  columns: [
    { name: 'tank', says: 'id of the application; a line for each planting that it went to', of: ({ one }) => one.id },
    { name: 'applied', says: 'instant, UTC', of: ({ one }) => one.appliedAt },
    ...standing<TreatmentLine>(({ target }) => target.plantingId),
    { name: 'plants', says: 'how many of them', of: ({ target }) => target.plants },
    { name: 'part', says: 'of the plant', of: ({ target }) => target.coveredPart },
    { name: 'treatment', says: 'what was done, or the active ingredient', of: ({ one }, names) => names.intervention(one.intervention) },
    { name: 'product', says: 'the pack on the shelf', of: ({ one }, names) => names.product(one.productId ?? '') },
    { name: 'productInTank', says: 'of the whole tank', of: ({ one }) => one.productMl ?? one.productG ?? one.productPieces },
    {
      name: 'unit',
      says: 'ml, g or pieces',
      of: ({ one }) => (one.productMl !== null ? 'ml' : one.productG !== null ? 'g' : one.productPieces !== null ? 'pieces' : ''),
    },
    { name: 'collected', says: 'how many were picked off, squashed or trapped by it', of: ({ one }) => one.collected },
    { name: 'waterInTankL', says: 'litres of water, of the whole tank', of: ({ one }) => one.waterL },
    { name: 'kit', says: 'with what', of: ({ one }) => one.kit },
    { name: 'why', says: 'reason', of: ({ one }) => one.why },
    { name: 'by', says: 'who did it', of: ({ one }) => one.appliedBy },
    {
      name: 'temperatureC',
      says: 'as it was noted, or as the station had it',
      of: ({ one }) => one.temperatureC ?? one.measured?.temperatureC ?? null,
    },
    { name: 'windKmh', says: 'likewise', of: ({ one }) => one.windKmh ?? one.measured?.windKmh ?? null },
    { name: 'sky', says: 'as it was noted', of: ({ one }) => one.sky },
    { name: 'reEntry', says: 'nobody without protection enters before; instant, UTC', of: ({ one }) => one.reEntryAt },
    {
      name: 'notPickedBefore',
      says: 'first day of picking by the card; empty where it is not eaten',
      of: ({ target }) => target.notPickedBefore,
    },
    { name: 'figures', says: 'whose figures the card held: typical, copied, register, none', of: ({ one }) => one.card.source },
    {
      name: 'notKept',
      says: 'lines of the card that were not kept',
      of: ({ one, target }) =>
        one.brokenLines
          .filter(({ plantingId }) => plantingId === target.plantingId)
          .map(({ text }) => text)
          .join(' '),
    },
  ],
};

const cases = each('cases', 'openedOn', [
  idColumn,
  ...standing<Stored<'cases'>>(({ plantingId }) => plantingId),
  { name: 'openedOn', says: 'day', of: ({ openedOn }) => openedOn },
  { name: 'words', says: 'what the grower said', of: ({ words }) => words },
  {
    name: 'signs',
    says: 'signs that were seen',
    of: ({ findings }, names) =>
      findings
        .filter(({ state }) => state === 'seen')
        .map(({ sign }) => names.sign(sign))
        .join('; '),
  },
  {
    name: 'trouble',
    says: 'the newest working diagnosis',
    of: ({ diagnoses }, names) => (diagnoses.at(-1)?.conditions ?? []).map((id) => names.condition(id)).join('; '),
  },
  { name: 'closedOn', says: 'day; empty while it is open', of: ({ closedOn }) => closedOn },
  { name: 'outcome', says: 'recovered, left-alone, removed, lost or other', of: ({ outcome }) => outcome },
  note,
]);

const looks = each('assessments', 'assessedOn', [
  idColumn,
  { name: 'case', says: 'id of the case', of: ({ caseId }) => caseId },
  ...standing<Stored<'assessments'>>(({ plantingId }) => plantingId),
  { name: 'day', says: 'of the look', of: ({ assessedOn }) => assessedOn },
  { name: 'plantNumber', says: 'along its rows; empty for many', of: ({ plant }) => plant },
  { name: 'scale', says: 'what the severity is a share of: leaf, plant or stand', of: ({ scale }) => scale },
  { name: 'severity', says: 'per cent', of: ({ severity }) => severity },
  { name: 'count', says: 'all that was counted', of: ({ count }) => count },
  { name: 'counts', says: 'one by one, with blanks between', of: ({ counts }) => counts.join(' ') },
  { name: 'plantsLooked', says: 'plants that were looked at', of: ({ plantsLooked }) => plantsLooked },
  { name: 'plantsMarked', says: 'of these, plants that had it', of: ({ plantsMarked }) => plantsMarked },
  { name: 'newGrowth', says: 'clean, marked, none or unknown', of: ({ newGrowth }) => newGrowth },
  { name: 'flowers', says: 'open flowers', of: ({ flowers }) => flowers },
  note,
]);

const harvests = each('harvests', 'pickedOn', [
  idColumn,
  ...standing<Stored<'harvests'>>(({ plantingId }) => plantingId),
  { name: 'day', says: 'of picking', of: ({ pickedOn }) => pickedOn },
  { name: 'kg', says: 'kilograms', of: ({ kg }) => kg },
  { name: 'pieces', says: 'how many', of: ({ pieces }) => pieces },
  { name: 'wasteKg', says: 'of it, what could not be used', of: ({ wasteKg }) => wasteKg },
  { name: 'by', says: 'who picked', of: ({ by }) => by },
  note,
]);

const catches: ListTable<'catches', CatchLine> = {
  subject: 'catches',
  orderedBy: 'checkedOn',
  linesOf: (one) => (one.caught.length === 0 ? [{ one, caught: undefined }] : one.caught.map((caught) => ({ one, caught }))),
  columns: [
    { name: 'id', says: 'of the reading; a line for each kind that was in it', of: ({ one }) => one.id },
    { name: 'trap', says: 'its name', of: ({ one }, names) => names.trap(one.trapId) },
    { name: 'day', says: 'of the reading', of: ({ one }) => one.checkedOn },
    { name: 'what', says: 'kind', of: ({ caught }) => caught?.what ?? '' },
    { name: 'count', says: 'how many', of: ({ caught }) => caught?.count ?? 0 },
    { name: 'emptied', says: 'true or false', of: ({ one }) => one.emptied },
    { name: 'note', says: 'as it was written', of: ({ one }) => one.note },
  ],
};

const finds = each('stops', 'lookedAt', [
  idColumn,
  ...standing<Stored<'stops'>>(({ plantingId }) => plantingId),
  { name: 'lookedAt', says: 'instant, UTC', of: ({ lookedAt }) => lookedAt },
  { name: 'found', says: 'true or false', of: ({ found }) => found },
  { name: 'signs', says: 'what was seen', of: ({ signs }, names) => signs.map((id) => names.sign(id)).join('; ') },
  { name: 'target', says: 'what was counted', of: ({ target }, names) => (target ? names.condition(target) : '') },
  { name: 'measure', says: 'how it was counted', of: ({ measure }) => measure },
  { name: 'sample', says: 'one by one, with blanks between', of: ({ sample }) => sample.join(' ') },
  { name: 'severity', says: 'per cent of leaf, by eye', of: ({ severity }) => severity },
  { name: 'gauged', says: 'the same, measured', of: ({ gauged }) => gauged },
  { name: 'helpers', says: 'animals that help', of: ({ helpers }) => helpers },
  note,
]);

const products = each('products', 'name', [
  idColumn,
  { name: 'name', says: 'as it stands on the pack', of: ({ name }) => name },
  { name: 'treatment', says: 'active ingredient', of: ({ intervention }, names) => names.intervention(intervention) },
  { name: 'form', says: 'liquid, powder, …', of: ({ form }) => form },
  { name: 'pack', says: 'how much is in it', of: ({ packAmount }) => packAmount },
  { name: 'unit', says: 'ml, g or pieces', of: ({ measuredIn }) => measuredIn },
  { name: 'registration', says: 'its number', of: ({ registration }) => registration },
  { name: 'batch', says: 'its number', of: ({ batch }) => batch },
  { name: 'bought', says: 'day', of: ({ boughtOn }) => boughtOn },
  { name: 'opened', says: 'day', of: ({ openedOn }) => openedOn },
  { name: 'bestBefore', says: 'day', of: ({ bestBefore }) => bestBefore },
  { name: 'price', says: 'of a pack, in the money of the garden', of: ({ price }) => price },
  { name: 'keptIn', says: 'where it stands', of: ({ keptIn }) => keptIn },
  { name: 'endedOn', says: 'day on which it was gone', of: ({ endedOn }) => endedOn },
  note,
]);

const stock = each('stockMoves', 'movedAt', [
  idColumn,
  { name: 'product', says: 'its name', of: ({ productId }, names) => names.product(productId) },
  { name: 'movedAt', says: 'instant, UTC', of: ({ movedAt }) => movedAt },
  { name: 'kind', says: 'bought, counted, spilled, given-away or disposed', of: ({ kind }) => kind },
  { name: 'amount', says: 'in what the product is measured in', of: ({ amount }) => amount },
  note,
]);

const plans = each('plannedApplications', 'plannedFor', [
  idColumn,
  { name: 'plan', says: 'id of the plan', of: ({ planId }) => planId },
  { name: 'round', says: 'which round of it', of: ({ ordinal }) => ordinal },
  { name: 'treatment', says: 'what is to be done', of: ({ intervention }, names) => names.intervention(intervention) },
  { name: 'plannedFor', says: 'day', of: ({ plannedFor }) => plannedFor },
  { name: 'slot', says: 'morning or evening', of: ({ slot }) => slot },
  { name: 'person', says: 'who is to do it', of: ({ person }) => person },
  { name: 'state', says: 'planned, under-way, done or not-needed', of: ({ state }) => state },
  note,
]);

const leaves = each('leafMeasurements', 'measuredAt', [
  idColumn,
  ...standing<Stored<'leafMeasurements'>>(({ plantingId }) => plantingId),
  { name: 'measuredAt', says: 'instant, UTC', of: ({ measuredAt }) => measuredAt },
  { name: 'eyedPercent', says: 'as the eye had said', of: ({ eyedPercent }) => eyedPercent },
  { name: 'eatenPercent', says: 'of the leaf', of: ({ eatenPercent }) => eatenPercent },
  { name: 'discolouredPercent', says: 'of the leaf', of: ({ discolouredPercent }) => discolouredPercent },
  { name: 'spots', says: 'how many', of: ({ spots }) => spots },
  { name: 'areaMm2', says: 'of the leaf, square millimetres', of: ({ areaMm2 }) => areaMm2 },
  { name: 'by', says: 'who measured', of: ({ by }) => by },
  note,
]);

const prevention = each('preventionTasks', 'doneOn', [
  idColumn,
  { name: 'place', says: 'where', of: ({ placeId }, names) => names.place(placeId) },
  { name: 'task', says: 'entry of the library', of: ({ task }) => task },
  { name: 'day', says: 'on which it was looked at', of: ({ doneOn }) => doneOn },
  { name: 'outcome', says: 'fine, done or wants-work', of: ({ outcome }) => outcome },
  { name: 'amount', says: 'what was measured, where it is', of: ({ amount }) => amount },
  note,
]);

const lessons = each('lessons', 'writtenOn', [
  idColumn,
  { name: 'writtenOn', says: 'day', of: ({ writtenOn }) => writtenOn },
  { name: 'text', says: 'what was learnt', of: ({ text }) => text },
  { name: 'trouble', says: 'what it is about', of: ({ condition }, names) => (condition ? names.condition(condition) : '') },
  { name: 'plant', says: 'what it is about', of: ({ host }, names) => (host ? names.host(host) : '') },
  { name: 'dueOn', says: 'day on which it is to be thought of', of: ({ dueOn }) => dueOn },
  { name: 'doneOn', says: 'day', of: ({ doneOn }) => doneOn },
]);

const drills = each('drills', 'heldAt', [
  idColumn,
  { name: 'heldAt', says: 'instant, UTC', of: ({ heldAt }) => heldAt },
  { name: 'by', says: 'who was asked', of: ({ by }) => by },
  {
    name: 'answers',
    says: 'each with what was asked, what was true and what was said, separated by semicolons',
    of: ({ answers }) => answers.map(({ item, truth, guess }) => `${item} ${truth} ${guess}`).join('; '),
  },
]);

/** Every list of a garden that leaves the house as a table, by the name of its file. */
export const listTables = {
  places,
  plantings,
  treatments,
  cases,
  looks,
  harvests,
  catches,
  finds,
  products,
  stock,
  plans,
  leaves,
  prevention,
  lessons,
  ground,
  removals,
  drills,
} as const satisfies Readonly<Record<TableName, unknown>>;

/** Heads of a table. */
export const headsOf = (table: TableName): string[] => listTables[table].columns.map(({ name }) => name);

/** The lines of a table that a record becomes. */
export function linesOf(table: TableName, record: Stored<Subject>, names: TableNames): Cell[][] {
  const { linesOf: split, columns } = listTables[table] as unknown as ListTable<Subject, never>;
  return split(record as never).map((line) => columns.map(({ of }) => of(line, names)));
}
