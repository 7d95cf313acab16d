import type { Finding } from './knowledge.js';

export interface Alert {
  readonly code: 'notifiable' | 'send-sample' | 'too-little-seen';
  readonly text: string;
}

interface Ranked {
  readonly condition: string;
  readonly name: string;
  readonly kind: string;
  readonly probability: number;
}

const suspectFrom = 0.1;
const laboratoryKinds = new Set(['virus', 'bacterium', 'fungus', 'oomycete', 'nematode']);

/** What the grower must be told before anything else. */
export function alertsFor(ranked: readonly Ranked[], findings: readonly Finding[], notifiable: readonly string[]): Alert[] {
  const seen = findings.filter(({ state }) => state === 'seen');
  const suspects = ranked.filter(({ condition, probability }) => probability >= suspectFrom && notifiable.includes(condition));
  const unsure = ranked.filter(({ kind, probability }) => probability >= 0.25 && probability <= 0.75 && laboratoryKinds.has(kind));
  const alerts: Alert[] = suspects.map(({ name }) => ({
    code: 'notifiable',
    text: `${name} is possible and must be reported here. Stop moving plants, photograph, take nothing off the site, and call the plant-health authority.`,
  }));
  if (findings.length >= 4 && unsure.length >= 2)
    alerts.push({
      code: 'send-sample',
      text: `${unsure.map(({ name }) => name).join(' and ')} are hard to tell apart by eye: a plant clinic can.`,
    });
  if (seen.length === 0 || (seen.length === 1 && (ranked[0]?.probability ?? 0) < 0.5))
    alerts.push({ code: 'too-little-seen', text: 'Too little has been seen to name a cause. Add what you see, or make one of the looks.' });
  return alerts;
}
