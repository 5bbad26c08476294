/** Minutes of work by task, walking included for `place`. [practice]; each person may set his own. */
export const WORK_MINUTES = {
  place: { label: 'Placing a set, walking included', minutes: 5 },
  ice: { label: 'Placing a set through ice', minutes: 30 },
  look: { label: 'A look only', minutes: 2 },
  remake: { label: 'A remake', minutes: 6 },
  catch: { label: 'A catch and its remake', minutes: 12 },
} as const;
export type Task = keyof typeof WORK_MINUTES;

/** A person's minutes: his own where he set them. */
export const minutesOf = (own: Readonly<Record<string, number>>): Record<Task, number> =>
  Object.fromEntries(Object.entries(WORK_MINUTES).map(([task, { minutes }]) => [task, own[task] ?? minutes])) as Record<Task, number>;
