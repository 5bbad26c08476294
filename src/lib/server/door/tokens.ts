import { createHash, randomBytes, randomInt } from 'node:crypto';

/** What is kept of a code or token: both are long and random, so that a plain digest cannot be tried through. */
export const hashOf = (text: string): string => createHash('sha256').update(text).digest('hex');

export const newToken = (): string => randomBytes(32).toString('base64url');

/** Letters and digits that nobody takes for one another. */
const SIGNS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
export const randomSigns = (length: number): string => Array.from({ length }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** A code to be printed and kept in a drawer, five groups of five: about 124 bits. */
export const newRecovery = (): string => Array.from({ length: 5 }, () => randomSigns(5)).join('-');
