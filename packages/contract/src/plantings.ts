import { z } from 'zod';
import { shape } from './shapes.js';
import { day, entry, id, longText, setting, shortText } from './words.js';

/** A planting that came in from elsewhere is held apart until enough clean looks over enough days. */
export const quarantine = z.strictObject({
  from: day,
  days: z.int().min(1).max(365),
  looks: z.int().min(1).max(30),
  releasedOn: day.nullable(),
});

/** Something that changes what is true of a planting, from a day on. */
export const plantingEvent = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('moved'), on: day, placeId: id, setting }),
  z.strictObject({ kind: z.literal('flowering'), on: day, until: day.nullable().describe('last day; none while it flowers on') }),
  z.strictObject({ kind: z.literal('harvest'), on: day, until: day.nullable().describe('last day; none where it is picked as it ripens') }),
  z.strictObject({ kind: z.literal('stage'), on: day, stage: shortText }),
  z.strictObject({ kind: z.literal('ended'), on: day }),
]);

const inOrder = ({ events, plantedOn }: { events: z.infer<typeof plantingEvent>[]; plantedOn: string }) =>
  events.every((event) => event.on >= plantedOn && !('until' in event && event.until && event.until < event.on));

/** What is true of it on a day follows from its events: core's `plantingOn` works it out. */
export const planting = z
  .strictObject({
    /** where it was planted */
    placeId: id,
    /** how it stood then */
    setting,
    host: entry,
    cultivar: z.string().trim().max(120),
    plants: z.int().min(1).max(100_000),
    rows: z.int().min(1).max(1000).default(1),
    /** none: it lies in its place beside the others */
    shape: shape.nullable().default(null),
    plantedOn: day,
    eaten: z.boolean(),
    events: z
      .array(plantingEvent)
      .max(200)
      .refine((events) => events.filter(({ kind }) => kind === 'ended').length <= 1, { error: 'a planting ends once' })
      .default([]),
    quarantine: quarantine.nullable().default(null),
    /** what nobody has said of it yet: it was taken for granted from the plant and a few words */
    assumed: z
      .array(z.enum(['setting', 'eaten', 'inFlower', 'picked', 'plants', 'plantedOn']))
      .max(6)
      .default([]),
    note: longText,
  })
  .refine(inOrder, { path: ['events'], error: 'nothing happens to it before it is planted, or ends before it begins' });

export type PlantingEvent = z.infer<typeof plantingEvent>;
