import { setTypeOf } from '../sets/catalogue';
import type { ChoiceKey } from '../sets/keys';
import { layOut, usualDevices } from '../sets/standing';
import type { Ground, Post } from '../sim/colony/night';
import { GEAR, type Gear } from '../sim/colony/rules';
import type { StationKind } from '../stations/kinds';
import { inches } from '../units/factors';
import { postsOf, wayOf } from './posts';

/** A place of the model, with the type that each sort of gear is set as there. */
interface ModelPlace {
  id: string;
  name: string;
  kind: StationKind;
  use: number;
  /** m of water there at rest */
  depth: number;
  types: Partial<Record<Gear, string>>;
}

/** A pond that many know: a lodge with two runs, its dam with a gap, a slide, a mound, a feed bed. Its measures are invented. */
export const MODEL_PLACES: readonly ModelPlace[] = [
  {
    id: 'runA',
    name: 'main lodge run',
    kind: 'lodge',
    use: 1,
    depth: inches(18),
    types: { bodyGrip: 'lodge-run', snare: 'lodge-run-snare' },
  },
  {
    id: 'dam',
    name: 'dam',
    kind: 'dam',
    use: 1,
    depth: inches(16),
    types: { bodyGrip: 'dam-break-channel', foothold: 'dam-break-shoulder', snare: 'channel-snare' },
  },
  {
    id: 'runB',
    name: 'second lodge run',
    kind: 'lodge',
    use: 0.8,
    depth: inches(18),
    types: { bodyGrip: 'lodge-run', snare: 'lodge-run-snare' },
  },
  {
    id: 'gap',
    name: 'gap in the dam',
    kind: 'crossover',
    use: 1,
    depth: inches(2),
    types: { bodyGrip: 'dam-crossover-face', foothold: 'dam-crossover-foothold', snare: 'dam-crossover-snare' },
  },
  {
    id: 'slide',
    name: 'slide',
    kind: 'slide',
    use: 1,
    depth: inches(16),
    types: { bodyGrip: 'slide-grip', foothold: 'slide-foothold', snare: 'slide-snare' },
  },
  {
    id: 'feed',
    name: 'feed bed',
    kind: 'feed bed',
    use: 1,
    depth: inches(20),
    types: { bodyGrip: 'dive-pole', foothold: 'baited-bank', snare: 'lure-pole' },
  },
  {
    id: 'mound',
    name: 'castor mound',
    kind: 'castor mound',
    use: 1,
    depth: inches(10),
    types: { bodyGrip: 'castor-grip', foothold: 'castor-foothold', snare: 'castor-stick-snare' },
  },
];

/** The water below the dam under that of the pond, m. */
const TAIL = -0.9;
export const MODEL_ACRES = 1.5;
/** m³/s */
export const MODEL_INFLOW = 0.02;

export const MODEL_GROUNDS: readonly Ground[] = MODEL_PLACES.map(({ id, kind, use }) => ({ id, way: wayOf(kind), use }));

/** The sets of one place with one sort of gear, as the catalogue builds them. @param nth of several at the place */
function postAt(place: ModelPlace, gear: Gear, nth: number): Post | null {
  const id = place.types[gear];
  if (!id) return null;
  const type = setTypeOf(id);
  const rest = { pond: 0, tail: TAIL };
  const devices = usualDevices(type);
  const [device] = Object.keys(devices);
  const choices: Partial<Record<ChoiceKey, string>> = {};
  const where = { kind: place.kind, surface: 'pond' as const, bed: -place.depth };
  const design = layOut(type, { numbers: {}, choices, then: rest, place: where, devices }, 'us');
  const built = { id: `${place.id}.${gear}.${nth}`, ground: place.id, kind: place.kind, gear, design, rest };
  return postsOf(built, device ? [device] : [])[0] ?? null;
}

let built: Map<string, Post> | null = null;

/** The set of a place with such gear; null where none is made so there. @param nth 1 for the first of several there */
export function modelPost(place: string, gear: Gear, nth: number): Post | null {
  built ??= new Map(
    MODEL_PLACES.flatMap((p) => GEAR.flatMap((g) => [postAt(p, g, 0)].flatMap((post) => (post ? [[`${p.id}.${g}`, post]] : [])))),
  );
  const found = built.get(`${place}.${gear}`);
  return found ? { ...found, id: `${place}.${gear}.${nth}` } : null;
}
