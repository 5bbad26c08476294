import { hash, verify } from '@node-rs/argon2';
import { dictionary } from '@zxcvbn-ts/language-common';
import { faultOfPassphrase } from '#core/door/passphrase';

/** Argon2id by the OWASP password storage cheat sheet: 19 MiB, two passes, one lane (from memory). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

const common = new Set<string>(dictionary['passwords-common']);

export const faultOf = (text: string, name: string): string | null => faultOfPassphrase(text, name, (t) => common.has(t));

const plain = (passphrase: string): string => passphrase.normalize('NFKC');

export const keptAs = (passphrase: string): Promise<string> => hash(plain(passphrase), COST);

/** Held against when nobody has the name, so that a wrong name takes as long as a wrong passphrase. */
let nobody: Promise<string> | undefined;

export async function isRight(kept: string | undefined, passphrase: string): Promise<boolean> {
  nobody ??= keptAs('nobody has this one');
  const isIt = await verify(kept ?? (await nobody), plain(passphrase));
  return isIt && kept !== undefined;
}
