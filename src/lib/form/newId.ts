import { error } from '@sveltejs/kit';
import { v5, v7 } from 'uuid';

const ID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** Whether a text out of an address can be an id at all. */
export const isId = (text: string): boolean => ID.test(text);

/** A fresh id for a form: whoever sends it twice writes one thing. */
export const newId = (): string => v7();

/** The id of a thing that a form makes beside its own: the same whenever that form is sent again; an answer in words where the form has none. */
export function idBeside(form: string, name: string): string {
  if (!isId(form)) error(400, 'This form came without its own number: load the page anew and send it from there.');
  return v5(name, form);
}
