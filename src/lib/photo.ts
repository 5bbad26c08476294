import { v5 } from 'uuid';

/** A photo is made smaller in the browser; more than this was not, bytes. */
export const MOST_PHOTO = 450 * 1024;
const NAMESPACE = '5f0c2a5e-51b1-5a41-9d0c-0f6f7b1d8e21';

const begins = (bytes: Uint8Array, at: number, sign: readonly number[]): boolean => sign.every((b, i) => bytes[at + i] === b);
const letters = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));

/** What a photo is by its own first bytes, whatever its name says; null for anything else. */
export function photoType(bytes: Uint8Array): 'image/jpeg' | 'image/png' | 'image/webp' | null {
  if (begins(bytes, 0, [0xff, 0xd8, 0xff])) return 'image/jpeg';
  if (begins(bytes, 0, [0x89, 0x50, 0x4e, 0x47])) return 'image/png';
  return begins(bytes, 0, letters('RIFF')) && begins(bytes, 8, letters('WEBP')) ? 'image/webp' : null;
}

/** The id of a photo follows from its content and its crew: made on a device or by the record it is the same, and sending it twice keeps one. */
export const photoId = (crew: string, bytes: Uint8Array): string => v5(bytes, v5(crew, NAMESPACE));
