import type { Species } from '../animals/species';
import { CLASS_WORDS, sizeText, type DeviceClass } from '../devices/sizes';
import { CATALOGUE } from './catalogue';
import type { SetType } from './setType';
import type { StationKind } from '../stations/kinds';

export interface Wanted {
  place?: StationKind;
  species?: Species;
  /** 1 to 12 */
  month?: number;
  /** free devices, when only what can be built with them is wanted */
  owned?: { class: DeviceClass; size: string }[];
}

/** Whether a free device of that size, or of the class at least, is there for a type. */
const canBuild = (type: SetType, owned: { class: DeviceClass; size: string }[]): boolean =>
  owned.some((d) => type.devices.includes(d.class));

/** The types that fit a place, a species, a month and the gear that is free; those made for that month first. */
export function typesFor({ place, species, month, owned }: Wanted): SetType[] {
  const fits = CATALOGUE.filter(
    (type) =>
      (!place || type.stations.includes(place)) &&
      (!species || type.species.includes(species)) &&
      (!month || !type.months || type.months.includes(month)) &&
      (!owned || canBuild(type, owned)),
  );
  return month ? [...fits].sort((a, b) => Number(!a.months) - Number(!b.months)) : fits;
}

/** What a type is usually built with: `body-grip 330`, `foothold No. 4`. */
export const usualText = ({ usual }: SetType): string => {
  const size = sizeText(usual.class, usual.size);
  return usual.class === 'bodyGrip' ? `${CLASS_WORDS.bodyGrip} ${size}` : usual.class === 'foothold' ? `foothold ${size}` : size;
};

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** That a type is mostly made in other months, as a sentence; empty in its own. [practice] @param month 1 to 12 */
export const outOfMonths = ({ months }: Pick<SetType, 'months'>, month: number): string =>
  !months || months.includes(month) ? '' : `Mostly made ${monthsText(months)} (rule of thumb).`;

/** `January to May`, or `all year`; months may run over the year's end. */
export function monthsText(months: readonly number[] | undefined): string {
  const [first, last] = [months?.[0], months?.at(-1)];
  return first === undefined || last === undefined ? 'all year' : `${MONTHS[first - 1]} to ${MONTHS[last - 1]}`;
}
export const MONTH_NAMES = MONTHS;
