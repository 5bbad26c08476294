/** A thing of the record with the entry that last wrote it: what a form about it is opened on. */
export type Written<T> = T & { entry: string };

/** The body alone, to be written anew. */
export const bodyOf = <T extends object>({ entry: _, ...body }: Written<T>): Omit<Written<T>, 'entry'> & T => body as never;
