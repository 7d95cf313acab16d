import { forceCollide, forceSimulation, forceX, forceY } from 'd3';
import type { JudgedIntervention } from './ladder';

/** What an option costs its grower: minutes of work or money, on all plants. */
export type Cost = 'minutes' | 'money';

/** An option in the plot: where it lies, and whether another one beats it in both. */
export interface TradeOffPoint {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  readonly rung: string;
  /** minutes or money, for all plants */
  readonly cost: number;
  /** money per plant: damage that is left, with what it costs */
  readonly loss: number;
  /** no other option costs less and loses less */
  readonly onFront: boolean;
}

/** Options that are open as points, least loss first. */
export function tradeOffPoints(options: readonly JudgedIntervention[], plants: number, by: Cost): TradeOffPoint[] {
  const points = options
    .filter(({ verdict }) => verdict !== 'ruled-out')
    .map(({ id, name, rung, loss, expected }) => ({
      id,
      name,
      rung,
      loss,
      cost: plants * (by === 'minutes' ? expected.minutes : expected.cost),
    }))
    .sort((a, b) => a.loss - b.loss || a.cost - b.cost || a.id.localeCompare(b.id));
  const isBeaten = (one: (typeof points)[number]) =>
    points.some((other) => other.cost <= one.cost && other.loss <= one.loss && (other.cost < one.cost || other.loss < one.loss));
  return points.map((point, i) => ({ ...point, number: i + 1, onFront: !isBeaten(point) }));
}

/** Places in the plot, moved apart as little as it takes that no dot covers another. */
export function apart<P extends { readonly x: number; readonly y: number }>(points: readonly P[], radius: number): P[] {
  const steps = 160;
  const nodes = points.map((point) => ({ ...point, wantX: point.x, wantY: point.y }));
  forceSimulation(nodes)
    .force('x', forceX<(typeof nodes)[number]>(({ wantX }) => wantX).strength(0.6))
    .force('y', forceY<(typeof nodes)[number]>(({ wantY }) => wantY).strength(0.6))
    .force('apart', forceCollide(radius + 0.5).iterations(4))
    .stop()
    .tick(steps);
  return nodes.map(({ wantX: _, wantY: __, ...node }) => node as unknown as P);
}
