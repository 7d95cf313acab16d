import type { Subject } from '@field-nurse/contract';
import { getTableName } from 'drizzle-orm';
import { ApiError, invalidField } from '../http/apiError.js';
import { recordParts } from './recordParts.js';
import { subjectTables } from './subjects.js';

const rules: Readonly<Record<string, { path: string; message: string }>> = {
  plantings_place: { path: 'placeId', message: 'This place is not in the garden.' },
  cases_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  treatment_plans_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  treatment_plans_case: { path: 'caseId', message: 'This case is not in the garden.' },
  decisions_plan: { path: 'planId', message: 'This plan is not in the garden.' },
  planned_applications_plan: { path: 'planId', message: 'This plan is not in the garden.' },
  planned_applications_product: { path: 'productId', message: 'This product is not in the garden.' },
  planned_applications_application: { path: 'applicationId', message: 'This log entry is not in the garden.' },
  planned_applications_once: { path: 'ordinal', message: 'This round of the plan is there already: change that one.' },
  planned_applications_done: { path: 'applicationId', message: 'What is done has its log entry, and what is not has none.' },
  work_times_once: { path: 'person', message: 'This person’s hours are there already: change those.' },
  test_sprays_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  test_sprays_case: { path: 'caseId', message: 'This case is not in the garden.' },
  test_sprays_product: { path: 'productId', message: 'This product is not in the garden.' },
  decisions_case: { path: 'caseId', message: 'This case is not in the garden.' },
  planting_events_place: { path: 'events', message: 'It was moved to a place that is not in the garden.' },
  application_targets_planting: { path: 'targets', message: 'One of these plantings is not in the garden.' },
  application_targets_case: { path: 'targets', message: 'One of these cases is not in the garden.' },
  applications_product_used: { path: 'productId', message: 'This product is not in the garden.' },
  label_cards_product: { path: 'productId', message: 'This product is not in the garden.' },
  label_cards_once: { path: 'source', message: 'This product has such a card already: change that one.' },
  stock_moves_product: { path: 'productId', message: 'This product is not in the garden.' },
  assessments_case: { path: 'caseId', message: 'This case is not in the garden.' },
  assessments_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  harvests_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  removals_case: { path: 'caseId', message: 'This case is not in the garden.' },
  removals_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  ground_events_place: { path: 'placeId', message: 'This place is not in the garden.' },
  traps_place: { path: 'placeId', message: 'This place is not in the garden.' },
  catches_trap: { path: 'trapId', message: 'This trap is not in the garden.' },
  stops_round: { path: 'roundId', message: 'This round is not in the garden.' },
  stops_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  stops_case: { path: 'caseId', message: 'This case is not in the garden.' },
  leaf_measurements_planting: { path: 'plantingId', message: 'This planting is not in the garden.' },
  clinic_samples_case: { path: 'caseId', message: 'This case is not in the garden.' },
  clinic_samples_sent: { path: 'sentOn', message: 'It cannot be sent before it was registered.' },
  clinic_samples_reported: { path: 'reportedOn', message: 'No result comes before it was registered.' },
  comments_case: { path: 'caseId', message: 'This case is not in the garden.' },
  prevention_tasks_place: { path: 'placeId', message: 'This place is not in the garden.' },
  plantings_rows: { path: 'rows', message: 'There can be no more rows than plants.' },
  cases_closed: { path: 'closedOn', message: 'It cannot be closed before it was opened.' },
  cases_outcome: { path: 'outcome', message: 'A closed case has an outcome, and an open one has none.' },
};

/** Do a write, and translate broken constraints by name: a reference to nothing is bad input, a record that others hang on cannot go. */
export async function withConstraintsNamed<T>(subject: Subject, work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const cause = (error as Error).cause as { code?: string; constraint?: string; table?: string } | undefined;
    const rule = cause?.constraint ? rules[cause.constraint] : undefined;
    if (cause?.code === '23503' && !ownTables(subject).includes(cause.table ?? ''))
      throw new ApiError(409, 'in-use', 'Other records hang on this: take them back first.');
    if (cause?.constraint === 'own_entries_once')
      throw invalidField(['value', 'entry', 'id'], 'twice', 'This garden has an entry of its own for that already.');
    if (rule) throw invalidField(['value', rule.path], 'reference', rule.message);
    throw error;
  }
}

const ownTables = (subject: Subject) =>
  [subjectTables[subject], recordParts[subject]?.table].flatMap((table) => (table ? getTableName(table) : []));
