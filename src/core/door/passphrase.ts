/** Shortest and longest passphrase, characters: NIST SP 800-63B and OWASP ASVS 4, 2.1.1 and 2.1.2 (from memory). */
export const SHORTEST = 12;
export const LONGEST = 128;

/**
 * What is wrong with a passphrase, as a sentence that says what would be right; null where nothing is.
 *
 * @param name the name it is signed in with
 * @param isCommon whether a text is among those that are tried first by everybody
 */
export function faultOfPassphrase(text: string, name: string, isCommon: (text: string) => boolean): string | null {
  const length = [...text].length;
  if (length < SHORTEST)
    return `That is ${length} characters: take ${SHORTEST} or more, for example four words that have nothing to do with each other.`;
  if (length > LONGEST) return `That is ${length} characters: take ${LONGEST} or fewer.`;
  const plain = plainOf(text);
  if (isCommon(plain) || isCommon(plain.replace(/[^a-z]/g, '')))
    return 'Everybody tries that one first: take words that nobody else puts together.';
  if (new Set(plain).size < 5) return 'That repeats a few signs: take words that have nothing to do with each other.';
  if (name.length >= 4 && plain.includes(plainOf(name))) return 'It holds the name it goes with: leave the name out.';
  return null;
}

const plainOf = (text: string): string => text.normalize('NFKC').toLowerCase().trim();
