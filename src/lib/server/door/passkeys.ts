import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import { z } from 'zod';
import { db } from '../database';
import type { Owned } from '../repositories/door';
import { keepChallenge, keepPasskey, passkeyOf, passkeysOf, useChallenge, usedPasskey } from '../repositories/passkeys';

/** How long a challenge waits for its answer, ms. */
const WAITS = 5 * 60_000;

/** A browser makes passkeys only over https, or for the machine itself by its name. */
export const allowsPasskeys = ({ protocol, hostname }: URL): boolean => protocol === 'https:' || hostname === 'localhost';

/** What a browser sends back; what is in it the library checks. */
export const answerSchema = z.looseObject({
  id: z.string().min(8).max(1400),
  rawId: z.string(),
  type: z.literal('public-key'),
  clientExtensionResults: z.looseObject({}),
  response: z.looseObject({ clientDataJSON: z.string() }),
});
export type Answer = z.infer<typeof answerSchema>;

const kept = async <T extends { challenge: string }>(options: T, now: Date): Promise<T> => {
  await keepChallenge(db(), options.challenge, now, new Date(now.getTime() + WAITS));
  return options;
};

/** What a browser is asked for, so that a person's passkey is made on it. */
export async function askNew({ crew, person }: App.Locals['who'], url: URL, now: Date): Promise<PublicKeyCredentialCreationOptionsJSON> {
  const known = await passkeysOf(db(), crew, person.id);
  const options = await generateRegistrationOptions({
    ...{ rpName: 'Zaprud', rpID: url.hostname, userName: person.name, userID: new TextEncoder().encode(person.id) },
    excludeCredentials: known.map(({ id }) => ({ id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'preferred' },
  });
  return kept(options, now);
}

/** Keeps a new passkey of a person. @returns whether it is one */
export async function keepNew({ crew, person }: App.Locals['who'], answer: Answer, name: string, url: URL, now: Date): Promise<boolean> {
  const { verified, registrationInfo } = await verifyRegistrationResponse({
    response: answer as unknown as RegistrationResponseJSON,
    expectedChallenge: (challenge) => useChallenge(db(), challenge, now),
    ...{ expectedOrigin: url.origin, expectedRPID: url.hostname, requireUserVerification: false },
  });
  if (!verified) return false;
  const { id, publicKey, counter } = registrationInfo.credential;
  const called = name.trim().slice(0, 60) || 'A passkey';
  await keepPasskey(db(), {
    crew_id: crew,
    person_id: person.id,
    id,
    public_key: Buffer.from(publicKey),
    counter,
    name: called,
    made_at: now,
  });
  return true;
}

/** What a browser is asked for, so that it finds a passkey of this place. */
export async function askKnown(url: URL, now: Date): Promise<PublicKeyCredentialRequestOptionsJSON> {
  return kept(await generateAuthenticationOptions({ rpID: url.hostname, userVerification: 'preferred' }), now);
}

/** Whose passkey answered; null where none of ours did. */
export async function ownerOfAnswer(answer: Answer, url: URL, now: Date): Promise<Omit<Owned, 'role'> | null> {
  const key = await passkeyOf(db(), answer.id);
  if (!key) return null;
  const { verified, authenticationInfo } = await verifyAuthenticationResponse({
    response: answer as unknown as AuthenticationResponseJSON,
    expectedChallenge: (challenge) => useChallenge(db(), challenge, now),
    ...{ expectedOrigin: url.origin, expectedRPID: url.hostname, requireUserVerification: false },
    credential: { id: key.id, publicKey: new Uint8Array(key.public_key), counter: key.counter },
  });
  if (!verified) return null;
  await usedPasskey(db(), key.id, authenticationInfo.newCounter);
  return { crew_id: key.crew_id, person_id: key.person_id };
}
