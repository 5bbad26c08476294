/** A number with its noun: `1 trap`, `3 traps`. */
export const many = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;
