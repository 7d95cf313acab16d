/** How a product comes. */
export type Form = 'powder' | 'granules' | 'liquid' | 'oil' | 'soap' | 'living' | 'other';

/** What is put into a tank with others. */
export interface TankMember {
  /** of the intervention */
  readonly id: string;
  readonly name: string;
  readonly form: Form;
  /** what it makes of the water */
  readonly reaction?: 'acid' | 'alkaline' | undefined;
  /** water in which it breaks down, or burns leaves */
  readonly spoiledIn: readonly ('acid' | 'alkaline')[];
  readonly apartFrom: readonly { readonly intervention: string; readonly days: number; readonly why: string }[];
  readonly release?: 'animals' | 'microbes' | undefined;
  readonly kills: readonly { readonly what: string; readonly days: number }[];
  readonly modeOfAction?: { readonly scheme: string; readonly group: string } | undefined;
}

/** Why two may not meet in one tank. */
export interface Clash {
  readonly code: 'apart' | 'reaction' | 'kills' | 'alike';
  readonly one: string;
  readonly other: string;
  /** how far apart they stay, days; nothing where another tank is enough */
  readonly days?: number | undefined;
  readonly why?: string | undefined;
}

// Into half the water, each stirred in before the next: what must be wetted first, what floats last (the W-A-L-E-S order of tank mixing).
const order: readonly Form[] = ['granules', 'powder', 'living', 'other', 'liquid', 'oil', 'soap'];

/** The order in which products go into the water, those of one form as they came. */
export const fillingOrder = <M extends Pick<TankMember, 'form'>>(members: readonly M[]): M[] =>
  [...members].sort((a, b) => order.indexOf(a.form) - order.indexOf(b.form));

/**
 * Pairs that must not meet in one tank.
 *
 * A line on one of the two labels counts for both. Sharp water spoils what breaks down in it; what kills, kills what lives in the tank; two of one
 * mode of action are one at twice the rate.
 */
export function clashesInTank(members: readonly TankMember[]): Clash[] {
  return members.flatMap((one, i) =>
    members.slice(i + 1).flatMap((other) => clashOf(one, other) ?? clashOf(other, one) ?? alike(one, other) ?? []),
  );
}

function clashOf(one: TankMember, other: TankMember): Clash | undefined {
  const names = { one: one.name, other: other.name };
  const line = one.apartFrom.find(({ intervention }) => intervention === other.id);
  if (line) return { code: 'apart', ...names, days: line.days, why: line.why };
  const kill = one.kills.find(({ what }) => what === other.release);
  if (kill) return { code: 'kills', ...names, days: kill.days };
  return one.reaction && other.spoiledIn.includes(one.reaction) ? { code: 'reaction', ...names, why: one.reaction } : undefined;
}

const alike = (one: TankMember, other: TankMember): Clash | undefined =>
  one.id === other.id ||
  (one.modeOfAction && one.modeOfAction.scheme === other.modeOfAction?.scheme && one.modeOfAction.group === other.modeOfAction.group)
    ? { code: 'alike', one: one.name, other: other.name }
    : undefined;
