/** The matters on which practitioners differ, and what each side says for itself. @source common practice, no published source */

export interface Matter {
  about: string;
  one: { says: string; why: string };
  other: { says: string; why: string };
}

export const SCHOOLS = {
  hold: {
    about: 'Hold or submerge',
    one: { says: 'live hold', why: 'the others stay calm, and the torn bank draws more' },
    other: { says: 'submersion', why: 'quick, and out of sight' },
  },
  device: {
    about: 'Device for a colony',
    one: { says: 'body-grip first', why: 'fast and sure' },
    other: { says: 'foothold and snare first', why: 'where the colony has met body-grips' },
  },
  pace: {
    about: 'Pace on a water',
    one: { says: 'one set at a time', why: 'the rest of the place stays unspoiled' },
    other: { says: 'everything at once', why: 'out again in days' },
  },
  break: {
    about: 'Break in a dam',
    one: { says: 'in the break', why: 'quick to make' },
    other: { says: 'channel or shoulder', why: 'no mud and no sticks are pushed into it' },
  },
  fence: {
    about: 'Fence',
    one: { says: 'one way left', why: 'nothing passes beside it' },
    other: { says: 'as it was, two thin sticks at most', why: 'a fence is read by those that have met one' },
  },
  lure: {
    about: 'Lure',
    one: { says: 'sparingly', why: 'much of it is strange, and warns' },
    other: { says: 'plenty', why: 'it is found from far, and outlasts rain' },
  },
  foot: {
    about: 'Which foot',
    one: { says: 'front foot', why: 'shallow and near the center: it comes first' },
    other: { says: 'hind foot', why: 'deeper and further out: it holds better' },
  },
  minkSize: {
    about: 'Body-grip for mink',
    one: { says: '110 or 120', why: 'nothing larger is held' },
    other: { says: '155 or 160', why: 'surer on a large mink; it also holds a stray otter or raccoon' },
  },
  notch: {
    about: 'Notch for mink',
    one: { says: 'light', why: 'a mink weighs little' },
    other: { says: 'middle', why: 'current and twigs fire a light one' },
  },
  loops: {
    about: 'Snares on a pole',
    one: { says: 'six', why: 'one catch ruins several, and nine cost more' },
    other: { says: 'nine', why: 'no face of the pole is left open' },
  },
  trigger: {
    about: 'Shape of the trigger',
    one: { says: 'hardly matters', why: 'in a run they fill the way, wires inside' },
    other: { says: 'decides a box', why: 'a narrow V is passed a great many times without firing' },
  },
  bag: {
    about: 'A bag that moved',
    one: { says: 'more weight', why: 'heavier, and further out' },
    other: { says: 'a tangle pole', why: 'beside it, at the deep end; moved where it meets rock' },
  },
  check: {
    about: 'Checks under ice',
    one: { says: 'daily', why: 'nothing waits, and the hole stays thin' },
    other: { says: 'weekly, where lawful', why: 'the place is left in peace' },
  },
  catch: {
    about: 'Where a catch lies',
    one: { says: 'fixed at the trap', why: 'found at once' },
    other: { says: 'loose to deep water', why: 'the way is clear for the next, and nothing shows' },
  },
} satisfies Record<string, Matter>;
export type SchoolId = keyof typeof SCHOOLS;
export const SCHOOL_IDS = Object.keys(SCHOOLS) as [SchoolId, ...SchoolId[]];

export const SIDES = ['one', 'other'] as const;
export type Side = (typeof SIDES)[number];
export const otherSide = (side: Side): Side => (side === 'one' ? 'other' : 'one');

/** Which schools a line picked; a matter that is left out is open. */
export type Picked = Partial<Record<SchoolId, Side>>;
