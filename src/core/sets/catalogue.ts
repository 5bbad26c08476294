import { bankDenRun } from './beaver/bankDenRun';
import { baitedBank } from './beaver/baitedBank';
import { castorFoothold } from './beaver/castorFoothold';
import { castorGrip } from './beaver/castorGrip';
import { castorSlickSnare } from './beaver/castorSlickSnare';
import { castorStickSnare } from './beaver/castorStickSnare';
import { channelSnare } from './beaver/channelSnare';
import { crossedLimbs } from './beaver/crossedLimbs';
import { culvertMouth } from './beaver/culvertMouth';
import { damBreakBreach } from './beaver/damBreakBreach';
import { damBreakChannel } from './beaver/damBreakChannel';
import { damBreakShoulder } from './beaver/damBreakShoulder';
import { damCrossoverFace } from './beaver/damCrossoverFace';
import { damCrossoverFoothold } from './beaver/damCrossoverFoothold';
import { damCrossoverSnare } from './beaver/damCrossoverSnare';
import { postBait } from './beaver/postBait';
import { divePole } from './beaver/divePole';
import { lodgeRun } from './beaver/lodgeRun';
import { lodgeRunSnare } from './beaver/lodgeRunSnare';
import { lurePole } from './beaver/lurePole';
import { slideFoothold } from './beaver/slideFoothold';
import { slideGrip } from './beaver/slideGrip';
import { slideSnare } from './beaver/slideSnare';
import { trailWaterline } from './beaver/trailWaterline';
import { iceHanging } from './ice/iceHanging';
import { iceSnarePole } from './ice/iceSnarePole';
import { bottomEdge } from './mink/bottomEdge';
import { box } from './mink/box';
import { cubby } from './mink/cubby';
import { logCrossing } from './mink/logCrossing';
import { rootPlatform } from './mink/rootPlatform';
import { undercutBank } from './mink/undercutBank';
import { wallBlind } from './mink/wallBlind';
import { wallHanging } from './mink/wallHanging';
import { denRun } from './muskrat/denRun';
import { float } from './muskrat/float';
import { logNotch } from './muskrat/logNotch';
import { pocket } from './muskrat/pocket';
import { polePlatform } from './muskrat/polePlatform';
import { latrineApproach } from './otter/latrineApproach';
import { otterCrossover } from './otter/otterCrossover';
import { otterLatrine } from './otter/otterLatrine';
import { enclosedFoot } from './raccoon/enclosedFoot';
import type { SetType } from './setType';

/** Every set type the bench can lay out. A new one is a file, its test and a line here. */
export const CATALOGUE: readonly SetType[] = [
  damBreakChannel,
  damBreakBreach,
  damBreakShoulder,
  damCrossoverFace,
  damCrossoverFoothold,
  damCrossoverSnare,
  lodgeRun,
  lodgeRunSnare,
  bankDenRun,
  divePole,
  crossedLimbs,
  trailWaterline,
  slideGrip,
  slideSnare,
  slideFoothold,
  castorFoothold,
  castorSlickSnare,
  castorStickSnare,
  castorGrip,
  baitedBank,
  postBait,
  lurePole,
  channelSnare,
  culvertMouth,
  iceSnarePole,
  iceHanging,
  pocket,
  float,
  polePlatform,
  logNotch,
  denRun,
  wallBlind,
  wallHanging,
  bottomEdge,
  undercutBank,
  cubby,
  box,
  logCrossing,
  rootPlatform,
  otterLatrine,
  otterCrossover,
  latrineApproach,
  enclosedFoot,
];

/** The ids as the record holds them. */
export const SET_TYPE_IDS = CATALOGUE.map((type) => type.id) as [string, ...string[]];

/** The type of that id, or undefined. */
export const findType = (id: string): SetType | undefined => CATALOGUE.find((type) => type.id === id);

/**
 * The type of that id.
 *
 * @throws RangeError when the catalogue does not hold it
 */
export function setTypeOf(id: string): SetType {
  const type = findType(id);
  if (!type) throw new RangeError(`no set type is called “${id}”; there are ${SET_TYPE_IDS.join(', ')}`);
  return type;
}
