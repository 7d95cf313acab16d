import type { RoundReason } from '@field-nurse/core/ground';
import { dayWord } from '../shared/days';
import { inGardenUnits } from '../shared/units';
import type { UnitSystem } from '../shared/units';

interface Naming {
  readonly today: string;
  readonly system: UnitSystem;
  readonly conditionName: (condition: string) => string;
}

/** Why a planting wants a look, in a sentence. */
export function roundReasonWord(reason: RoundReason, { today, system, conditionName }: Naming): string {
  switch (reason.code) {
    case 'case':
      return 'An open case wants its look.';
    case 'quarantine':
      return 'Held apart: a clean look brings it nearer to the others.';
    case 'never-looked':
      return 'Not looked at yet.';
    case 'long-ago':
      return `Last looked at ${reason.days} days ago.`;
    case 'young':
      return `Planted ${ago(reason.days)}: young plants have nothing to spare.`;
    case 'last-year':
      return `${reason.sight.conditions.map(conditionName).join(' and ') || 'Something'}: first seen here on ${dayWord(reason.sight.on, today)}.`;
    case 'risk':
      return reason.feared ? `In season: ${conditionName(reason.feared).toLowerCase()}, and more.` : 'Much is in season.';
    case 'wet':
      return `Leaves were wet for ${Math.round(reason.hours)} hours in three days.`;
    case 'hot':
      return `It was ${inGardenUnits('temperature', reason.maxC, system)}: mites and thrips hurry.`;
  }
}

const ago = (days: number) => (days === 0 ? 'today' : days === 1 ? '1 day ago' : `${days} days ago`);
