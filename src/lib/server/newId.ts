import { v5, v7 } from 'uuid';

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Whether a text out of an address can be an id at all. */
export const isId = (text: string): boolean => ID.test(text);

/** A fresh id for a form: whoever sends it twice writes one thing. */
export const newId = (): string => v7();

/** The id of a thing that a form makes beside its own: the same whenever that form is sent again. */
export const idBeside = (form: string, name: string): string => v5(name, form);
