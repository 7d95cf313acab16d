/** Why a calculation has no answer: what was asked is not right, or a rule forbids it. */
export interface Refused {
  readonly by: 'input' | 'rule';
  readonly code: string;
  /** the field of the request */
  readonly path: readonly (string | number)[];
  readonly message: string;
  /** the rule that forbids it, with its figures */
  /** where a name is not known: those that are most like it */
  readonly suggestions?: readonly { readonly id: string; readonly name: string }[];
  readonly rule?: Readonly<Record<string, unknown>>;
}

export class Refusal extends Error {
  constructor(readonly refused: Refused) {
    super(refused.message);
  }
}
