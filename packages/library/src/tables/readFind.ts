import type { ListedRecord } from '@field-nurse/contract';
import { seasonOf } from '@field-nurse/core/timing';
import { v5 } from 'uuid';
import { findByName } from '../names/find.js';
import { findNamed } from '../names/findNamed.js';
import type { Cells } from './cells.js';
import { mostAmount } from './listInHand.js';
import type { ListInHand, RowUnderstood } from './listInHand.js';

/** Something that was seen on a planting: a case, with a look where it says how bad it was. What was seen in an earlier season is over. */
export function readFind(cells: Cells, list: ListInHand): RowUnderstood | undefined {
  const on = list.pastDay(cells);
  const stood = on && list.stood(cells, on.day, null);
  const words = cells.needed('what', 5000);
  const severity = cells.number('severity', 0, 100);
  const count = cells.number('count', 0, mostAmount, true);
  const note = cells.text('note', 1900);
  if (!on || !stood || words === undefined || cells.problems.length > 0) return undefined;
  // A part of a name, or one that several troubles have, is told as it was said: a wrong diagnosis would be worse than none.
  const named = findNamed(list.library.conditions, words);
  const isName = named?.couldBe.length === 0 && findByName(list.library.conditions, words)?.id === named.entry.id;
  const isOver = on.day < seasonOf(list.into.today, list.into.seasonStart).from;
  const id = list.id(['find', stood.said, on.day, words, severity, count, note]);
  const found: ListedRecord = {
    subject: 'cases',
    record: id,
    value: {
      plantingId: stood.id,
      openedOn: on.day,
      words,
      findings: [],
      onset: null,
      pattern: null,
      stage: null,
      hidden: null,
      helpersSeen: false,
      stance: null,
      schools: [],
      parts: [],
      diagnoses: isName ? [{ on: on.day, conditions: [named.entry.id], why: `As the list ${list.into.file} has it.`.slice(0, 2000) }] : [],
      photos: [],
      closedOn: isOver ? on.day : null,
      outcome: isOver ? 'other' : null,
      // A look says a share of the plant; a count alone is kept in words.
      note: [note, count !== null && severity === null ? `${count} counted.` : ''].filter(Boolean).join(' '),
    },
  };
  const look: ListedRecord[] =
    severity === null
      ? []
      : [
          {
            subject: 'assessments',
            record: v5('look', id),
            value: {
              caseId: id,
              plantingId: stood.id,
              assessedOn: on.day,
              partId: null,
              plant: null,
              scale: 'plant',
              severity,
              count,
              counts: [],
              countedOn: 'plant',
              plantsLooked: null,
              plantsMarked: null,
              newGrowth: 'unknown',
              flowers: null,
              photos: [],
              nextAssessmentOn: null,
              note: '',
            },
          },
        ];
  return { says: `${on.day}: ${isName ? named.entry.name : words} on ${stood.says}`, records: [...stood.made, found, ...look] };
}
