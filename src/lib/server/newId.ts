import { v7 } from 'uuid';

/** A fresh id for a form: whoever sends it twice writes one thing. */
export const newId = (): string => v7();
