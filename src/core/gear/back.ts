import type { LeftAs } from '../check/spent';
import type { DeviceClass } from '../devices/sizes';

/** A trap of a run's sets that comes back with it. */
export interface Back {
  tag: string;
  set: string;
  why: 'cable' | 'damaged';
}

/** A trap in its set: as what it was left, and whether a catch was made in its cable since it was new. */
export interface Standing {
  tag: string;
  set: string;
  class: DeviceClass;
  left: LeftAs | null;
  hasCaught: boolean;
}

const DAMAGED: readonly LeftAs[] = ['damaged', 'trigger bent'];

/**
 * What is taken home: a snare whose cable caught or was found twisted, and what was found damaged.
 *
 * @source common practice: after a catch the cable is scrap, lock and swivel go into the next
 */
export const comesBack = (traps: readonly Standing[]): Back[] =>
  traps.flatMap(({ tag, set, left, hasCaught, class: of }): Back[] => {
    if (of === 'snare' && (hasCaught || left === 'cable twisted')) return [{ tag, set, why: 'cable' }];
    return left && DAMAGED.includes(left) ? [{ tag, set, why: 'damaged' }] : [];
  });

export const BACK_WORDS: Readonly<Record<Back['why'], string>> = {
  cable: 'lock and swivel come back, the cable is scrap',
  damaged: 'to be mended at home',
};
