import type { Planting as PlantingRecord } from '@field-nurse/contract';
import type { PlantingState } from '@field-nurse/core/ground';
import { plantingOn } from '@field-nurse/core/ground';

/** A planting with what is true of it on a day: where it stands, whether it flowers, when it is picked, whether it has ended. */
export type Planting = PlantingRecord & PlantingState<PlantingRecord['setting']>;

/** What is taken for granted of a planting until somebody says otherwise. */
export type PlantingFacts = Pick<Planting, 'setting' | 'eaten' | 'inFlower' | 'picked'>;

export const plantingNow = (record: PlantingRecord, day: string): Planting => ({ ...record, ...plantingOn(record, day) });
