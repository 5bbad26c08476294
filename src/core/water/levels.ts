/** The four numbers in which every elevation of the trade is linear; metres in the water's own datum. */
export const AXES = ['pond', 'tail', 'sheet', 'hole'] as const;
export type Axis = (typeof AXES)[number];
export type Levels = Record<Axis, number>;

/** The axes that are known at a moment; a missing one was never read. */
export type Known = Partial<Levels>;
