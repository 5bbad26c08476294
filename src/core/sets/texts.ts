import { designScene } from '../scene/designScene';
import type { System } from '../units/factors';
import type { Frame } from '../units/frame';
import { inWords } from '../units/inWords';
import { remedySays } from '../water/remedy';
import type { Water } from '../water/state';
import { tell } from '../words/finding';
import { armingCheck, stepsSaid } from './arming';
import { needTexts } from './describe';
import { atWorkUsually } from './order';
import type { AtWork, Order } from './work';
import { remakeOrders } from './remake';
import { sampleDesign, sampleLevels, sampleSurface } from './sample';
import type { SetType } from './setType';
import { statesOf, usualDevices } from './standing';

/** How far from its sample level a type is looked at, m: dry, falling, as made, rising, flooded. */
const LOOKS = [-0.4, -0.05, 0, 0.05, 0.4];

/** Every text that a type can put before a reader, by where it stands: at its defaults, its variants, and at levels from dry to flooded. */
export function textsOf(type: SetType, frame: Frame): { where: string; text: string }[] {
  const { system } = frame;
  const told = (text: string): string => inWords(text, system);
  const all = (where: string, texts: readonly (string | undefined)[]): { where: string; text: string }[] =>
    texts.flatMap((text) => (text ? [{ where, text }] : []));
  const sample = sampleLevels(type);
  const levels = LOOKS.map((by): Water => {
    const known = { ...sample, pond: sample.pond + by, tail: sample.tail + by };
    return { known, age: { pond: 0, tail: 0 }, atMost: {} };
  });
  const designs = [undefined, ...(type.variants ?? [])].map((variant) => sampleDesign(type, variant, system));
  const choices = Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default]));
  const ordersOf = (orders: (at: AtWork) => Order[]) =>
    type.devices
      .map((device) => ({ ...atWorkUsually(type), device }))
      .flatMap((at) => orders(at).flatMap((order) => stepsSaid(at.device, order.steps)));
  const asks = armingCheck(type, usualDevices(type), choices);
  return [
    ...all(
      'catalogue',
      [type.idea, type.fit, ...(type.disputed ?? []), ...type.faults].map((t) => t && told(t)),
    ),
    ...all(
      'field',
      Object.values(type.numbers).map((n) => told(n.help)),
    ),
    ...designs.flatMap((design) => [
      ...all(
        'finding',
        design.findings.map((f) => tell(f, system)).flatMap((f) => [f.about, f.sentence, f.figure]),
      ),
      ...all(
        'state',
        levels.flatMap((water) =>
          statesOf({ layout: design, devices: [] }, water, frame).flatMap((s) => [s.sentence, remedySays(s.remedy)]),
        ),
      ),
      ...all('need', needTexts(design, system)),
      ...(['side', 'eye'] as const).flatMap((view) => all('drawing', drawn(type, design, view, system))),
    ]),
    ...all(
      'step',
      ordersOf(type.orders)
        .flatMap((s) => [s.do, s.lastReach, s.caution, s.clear])
        .map((t) => t && told(t)),
    ),
    ...all(
      'remake',
      ordersOf((at) => remakeOrders(type, at)).map((s) => told(s.do)),
    ),
    ...all('arming', asks.flatMap((group) => [group.caution, ...group.asks.map((a) => a.text)]).map(told)),
  ];
}

const drawn = (type: SetType, design: ReturnType<typeof sampleDesign>, view: 'side' | 'eye', system: System): string[] =>
  designScene(design, { view, known: sampleLevels(type), surface: sampleSurface(type), frame: { width: 600, height: 300 }, system }).twin;
