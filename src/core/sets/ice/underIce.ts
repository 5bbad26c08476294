import { inches } from '../../units/factors';
import { ICE_CAUTION } from '../../scouting/lodge';
import type { Step } from '../work';
import { once } from '../pieces/steps';
import type { Laying, NumberSpec } from '../setType';

/** What the sets under ice have in common. */
export const ICE_NUMBERS: Record<'ice' | 'iceNext', NumberSpec> = {
  ice: { label: 'Ice now', help: 'measured in this hole', unit: 'length', default: inches(6), min: 0, max: 1.5, origin: 'measured' },
  iceNext: {
    label: 'Ice at the next check',
    help: 'left empty, the forecast stands, or two inches more',
    unit: 'length',
    min: 0,
    max: 1.5,
    origin: 'computed',
  },
};

/** By how much the sheet is taken to grow where nothing is forecast. [practice] */
const USUAL_GROWTH = inches(2);

/** The ice to calculate with at the next check, m: typed, else the thick end of the forecast, else two inches more. */
export const expectedIce = (laying: Laying): number =>
  laying.numbers.iceNext ?? Math.max(laying.numbers.ice ?? 0, laying.iceNext ?? (laying.numbers.ice ?? inches(6)) + USUAL_GROWTH);

/** What is done before anything is lowered: the ice measured, the hole opened and felt. */
export const holeFirst = (sticks: string): Step[] => [
  once('Measure the ice before every step; chisel in hand.', ICE_CAUTION),
  { do: 'Open the hole, scoop out slush and chips, feel below with the chisel.', caution: sticks },
  { do: 'Read the bed, the water line and the ice; say what the ice will be at the next check before anything is cut.' },
];

/** What is done once it hangs. */
export const HOLE_LAST: Step = { do: 'Snow over the hole hides it and slows its freezing: choose which.' };
