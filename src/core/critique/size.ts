import { BODY_GRIPS, FOOTHOLDS } from '../devices/sizes';
import { inches, POUND } from '../units/factors';
import { rule, type Rule } from './rule';
import { holds, sizesOf } from './lookup';

/** A beaver is held by the toe only up to this spread. [practice] */
const TOE = inches(5.5);
const opening = (size: string): number => BODY_GRIPS[size]?.opening ?? 0;
const spread = (size: string): number => FOOTHOLDS[size]?.spread ?? Infinity;

/** The heaviest pan that the lightest one wanted still fires, and the lightest that small visitors walk over, kg. [practice] */
const PAN_MOST: Readonly<Partial<Record<string, number>>> = {
  beaver: 6 * POUND,
  otter: 5 * POUND,
  raccoon: 4 * POUND,
  muskrat: 2 * POUND,
  mink: 1.5 * POUND,
};
const PAN_LEAST = 3 * POUND;

/** Whether the device suits the animal. @source common practice */
export const SIZE: Rule[] = [
  rule('smallFoothold', 'likely to fail', (asked) => {
    const small = asked.species === 'beaver' ? sizesOf(asked, 'foothold').find((size) => spread(size) <= TOE) : undefined;
    return small === undefined ? null : { values: { size: small } };
  }),
  rule('smallGrip', 'likely to fail', (asked) => {
    const { usual } = asked.type;
    if (usual.class !== 'bodyGrip') return null;
    const small = sizesOf(asked, 'bodyGrip').find((size) => opening(size) < opening(usual.size) - inches(0.6));
    return small === undefined ? null : { values: { size: small, usual: usual.size } };
  }),
  rule('largeGrip', 'could be better', (asked) => {
    const large = asked.species === 'muskrat' ? sizesOf(asked, 'bodyGrip').find((size) => opening(size) >= inches(7)) : undefined;
    return large === undefined ? null : { values: { size: large } };
  }),
  rule('panHeavy', 'likely to fail', (asked) => {
    const { species, numbers, devices } = asked;
    const most = PAN_MOST[species];
    const { panPull: pull } = numbers;
    return holds(asked, 'foothold') && Object.keys(devices).length > 0 && most !== undefined && pull !== undefined && pull > most
      ? { values: { pull, most, species } }
      : null;
  }),
  rule('panLight', 'could be better', (asked) => {
    const { species, numbers, around } = asked;
    const { panPull: pull } = numbers;
    const small = around.seen.filter((s) => s === 'mink' || s === 'muskrat');
    return holds(asked, 'foothold') &&
      (species === 'beaver' || species === 'otter') &&
      pull !== undefined &&
      pull < PAN_LEAST &&
      small.length > 0
      ? { values: { pull, least: PAN_LEAST, visitors: small } }
      : null;
  }),
  rule('spentCable', 'will fail', ({ around }) => (around.spentCable ? { values: { tag: around.spentCable } } : null)),
  rule('noDevice', 'could be better', (asked) =>
    asked.state === 'prepared' && Object.keys(asked.devices).length === 0 ? { values: {} } : null,
  ),
  rule('oneClassKnown', 'likely to fail', (asked) => {
    const met = (['bodyGrip', 'snare', 'foothold'] as const).find((device) => holds(asked, device) && asked.around.met[device]);
    return met ? { values: { said: asked.around.met[met] ?? '' } } : null;
  }),
];
