import type { CalculationName, CalculationRequest } from '@field-nurse/contract';
import { readWords, whereToLook } from '@field-nurse/core/diagnosis';
import type { Library } from '@field-nurse/library';
import { calculate } from '@field-nurse/library/answers';
import type { SeasonAsked } from '@field-nurse/library/season';
import { seasonQuestion } from '@field-nurse/library/season';
import { expose } from 'comlink';
import type { Planting } from '../gardens/plantings-now';
import { bringIn, checkTable } from './check-table';
import type { SendPart, TableToRead } from './check-table';
import { lookAtTable } from './look-at-table';
import type { Progress } from './look-at-table';
import { planGarden } from './plan-garden';
import type { GardenToPlan } from './garden-to-plan';
import { readWeatherFile } from './read-weather-file';

/** A host in a kind of place, in a month: what a round looks for there. */
export interface LookPlace {
  readonly host: string;
  readonly setting: Planting['setting'];
  readonly month: number;
  readonly hemisphere: 'north' | 'south';
}

let library: Library | undefined;

const hostOf = (id: string) => library!.hosts.find((host) => host.id === id);

const worker = {
  lookAtTable,
  checkTable: (table: TableToRead, progress: Progress) => checkTable(library!, table, progress),
  bringIn: (table: TableToRead, firstDays: ReadonlyMap<string, string>, send: SendPart) => bringIn(library!, table, firstDays, send),
  learn: (index: Library) => {
    library = index;
  },
  calculate: <N extends CalculationName>(name: N, request: CalculationRequest<N>) => calculate(library!, name, request),
  seasonQuestion: (asked: SeasonAsked) => seasonQuestion(library!, asked),
  planGarden: (garden: GardenToPlan) => planGarden(library!, garden),
  readWords: (text: string, host: string) => readWords(library!, text, hostOf(host)),
  readWeatherFile,
  whereToLook: (places: readonly LookPlace[]) =>
    places.map(({ host, ...circumstances }) => whereToLook(library!, { ...circumstances, host: hostOf(host)! })),
};

export type CalcWorker = typeof worker;

expose(worker);
