import { hash, verify } from '@node-rs/argon2';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import * as common from '@zxcvbn-ts/language-common';
import * as english from '@zxcvbn-ts/language-en';
import pLimit from 'p-limit';
import { randomUUID } from 'node:crypto';
import { invalidField } from '../http/apiError.js';

// OWASP's floor for argon2id, which is this package's own choice of the three: 19 MiB, two passes.
const argon = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
// One at a time leaves the other processor to everybody else.
const oneByOne = pLimit(1);

/** What is kept of a password. */
export const hashPassword = (password: string): Promise<string> => oneByOne(() => hash(password, argon));

let unknownHash: Promise<string> | undefined;

/**
 * Whether a password is right. Without a hash (nobody has such an account) it takes as long as a wrong password, so that the time does not tell
 * which it was.
 */
export async function isRight(passwordHash: string | undefined, password: string): Promise<boolean> {
  const against = passwordHash ?? (await (unknownHash ??= hashPassword(randomUUID())));
  return (await oneByOne(() => verify(against, password))) && passwordHash !== undefined;
}

const strength = new ZxcvbnFactory({
  dictionary: { ...common.dictionary, ...english.dictionary },
  graphs: common.adjacencyGraphs,
  translations: english.translations,
});
// "Somewhat guessable: protection from unthrottled online attacks" is too little; 3 is "safely unguessable".
const enough = 3;
const longestJudged = 72;

/** @param known - words that a guesser tries first: name and address @throws ApiError beside the field for a password that is soon guessed */
export function refuseWeak(password: string, known: readonly string[], field = 'password'): void {
  const words = known
    .map((text) => text.toLowerCase())
    .flatMap((text) => [text, ...text.split(/[^\p{L}\p{N}]+/u)])
    .filter((word) => word.length > 2);
  const { score, feedback } = strength.check(password.slice(0, longestJudged), words);
  if (score >= enough) return;
  const why = feedback.warning ? `${feedback.warning.replace(/\.?$/, '.')} ` : '';
  throw invalidField(
    [field],
    'weak',
    `This is guessed too soon. ${why}Four or five words that have nothing to do with each other do well.`,
  );
}
