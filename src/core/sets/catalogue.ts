import { castorFoothold } from './beaver/castorFoothold';
import { channelSnare } from './beaver/channelSnare';
import { damBreakChannel } from './beaver/damBreakChannel';
import { damBreakShoulder } from './beaver/damBreakShoulder';
import { damCrossoverFace } from './beaver/damCrossoverFace';
import { lodgeRun } from './beaver/lodgeRun';
import { slideFoothold } from './beaver/slideFoothold';
import { iceHangingBaited } from './ice/iceHangingBaited';
import { iceSnarePole } from './ice/iceSnarePole';
import { wallBlind } from './mink/wallBlind';
import { float } from './muskrat/float';
import type { SetType } from './setType';

/** Every set type the bench can lay out. A new one is a file, its test and a line here. */
export const CATALOGUE: readonly SetType[] = [
  lodgeRun,
  castorFoothold,
  slideFoothold,
  channelSnare,
  damBreakChannel,
  damBreakShoulder,
  damCrossoverFace,
  float,
  wallBlind,
  iceSnarePole,
  iceHangingBaited,
];

export const SET_TYPE_IDS = [
  'lodge-run',
  'castor-foothold',
  'slide-foothold',
  'channel-snare',
  'dam-break-channel',
  'dam-break-shoulder',
  'dam-crossover-face',
  'float',
  'wall-blind',
  'ice-snare-pole',
  'ice-hanging-baited',
] as const;

/** The type of that id, or undefined. */
export const findType = (id: string): SetType | undefined => CATALOGUE.find((type) => type.id === id);

/**
 * The type of that id.
 *
 * @throws RangeError when the catalogue does not hold it
 */
export function setTypeOf(id: string): SetType {
  const type = findType(id);
  if (!type) throw new RangeError(`no set type is called “${id}”; there are ${CATALOGUE.map((t) => t.id).join(', ')}`);
  return type;
}
