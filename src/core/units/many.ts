/** A number with its noun: `1 trap`, `3 traps`; `several` where an s does not make it (`1 person`, `2 people`). */
export const many = (n: number, one: string, several = `${one}s`): string => `${n} ${n === 1 ? one : several}`;

/** The word that agrees with a number: `agree(1, 'is', 'are')`. */
export const agree = (n: number, one: string, several: string): string => (n === 1 ? one : several);

/** A noun, or a number before one, with its article: `an undercut`, `an 8 in loop`, `an 18 in pole`, `a 110`. */
export const an = (noun: string): string => `${/^(?:[aeio]|u(?!ni|se)|8|11 |18 |11$|18$)/i.test(noun) ? 'an' : 'a'} ${noun}`;

/** A large count with its thousands apart: `2,000`. */
export const grouped = (n: number): string => n.toLocaleString('en-US');
