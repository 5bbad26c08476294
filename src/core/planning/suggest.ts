import type { Species } from '../animals/species';
import type { StationKind } from '../sets/setType';

/** A type of set for a kind of place, with the reason; `built` names it in the bench's catalogue, without it it stays plain text. */
export interface Suggestion {
  type: string;
  built: string | null;
  why: string;
}

interface Row extends Suggestion {
  species: Species;
  kinds: StationKind[];
  /** months (1 to 12) from and to, around the year; all of it when left out */
  months?: readonly [number, number];
}

const row = (
  species: Species,
  kinds: StationKind[],
  type: string,
  built: string | null,
  why: string,
  months?: readonly [number, number],
): Row => ({
  species,
  kinds,
  type,
  built,
  why,
  ...(months ? { months } : {}),
});

/** The first that fits is proposed first. @source common practice */
const TABLE: readonly Row[] = [
  row('beaver', ['lodge', 'run', 'bank den'], 'Lodge run', 'lodge-run', 'the run is hard underfoot and everyone in the house uses it'),
  row('beaver', ['channel', 'culvert', 'bridge'], 'Channel snare', 'channel-snare', 'the walls narrow the way'),
  row('beaver', ['channel'], 'Run or patrol channel, body-grip', 'lodge-run', 'a 330 on a stand in the middle of the channel'),
  row(
    'beaver',
    ['castor mound', 'slide', 'point'],
    'Castor mound foothold',
    'castor-foothold',
    'scent works while they mark, late winter and spring',
    [1, 5],
  ),
  row(
    'beaver',
    ['castor mound', 'slide', 'point', 'feed bed'],
    'Baited bank',
    'baited-bank',
    'outside the mating months peeled sticks of two woods draw more than scent',
    [6, 12],
  ),
  row(
    'beaver',
    ['castor mound', 'slide', 'point'],
    'Castor mound foothold',
    'castor-foothold',
    'a foothold where they land; scent is the weaker draw now',
    [6, 12],
  ),
  row('beaver', ['crossover'], 'Crossover, lower face', 'dam-crossover-face', 'they come over the worn gap and down the face'),
  row(
    'beaver',
    ['dam'],
    'Dam break, patrol channel',
    'dam-break-channel',
    'the break draws, the trap stands in the channel beside it; opening a dam can flood those below and needs leave in many places',
  ),
  row(
    'beaver',
    ['dam'],
    'Dam break, shoulder',
    'dam-break-shoulder',
    'where the pond side is too soft or full of leaves: a narrow deep break and beds on the firm shoulders',
  ),
  row('beaver', ['slide'], 'Slide foothold', 'slide-foothold', 'off the middle of the worn way, drawn down a wire to deep water'),
  row(
    'beaver',
    ['lodge', 'feed bed', 'run'],
    'Snare pole under ice',
    'ice-snare-pole',
    'under ice they come to green wood; the pole stands in the mud',
    [12, 3],
  ),
  row(
    'beaver',
    ['lodge', 'feed bed', 'run'],
    'Hanging under ice, baited',
    'ice-hanging',
    'a body-grip hung below where the ice will be',
    [12, 3],
  ),
  row('beaver', ['feed bed'], 'Dive pole', 'dive-pole', 'they pass along the pile and dive under a pole'),
  row('muskrat', ['muskrat place', 'feed bed', 'log crossing'], 'Float', 'float', 'it follows the level'),
  row('muskrat', ['bank den', 'run'], 'Den run, 110', 'den-run', 'a 110 fills a muskrat’s run'),
  row('muskrat', ['point', 'undercut'], 'Pocket', 'pocket', 'root bait in a flooded pocket'),
  row(
    'mink',
    ['culvert', 'bridge'],
    'Wall, blind',
    'wall-blind',
    'a foothold at the wall with an inch of water over it; lure would draw raccoons',
  ),
  row('mink', ['undercut'], 'Undercut bank, 160', 'undercut-bank', 'tight under the roof, its top a little proud'),
  row(
    'mink',
    ['log crossing'],
    'Log crossing, 155',
    'log-crossing',
    'clipped to the middle of the trunk; it serves on when the water freezes',
  ),
  row('mink', ['bank den', 'point', 'muskrat place', 'channel'], 'Pocket', 'pocket', 'fish or flesh at the back of a flooded pocket'),
  row(
    'otter',
    ['latrine', 'crossover'],
    'Latrine approach',
    'latrine-approach',
    'only where and when otter are open: look into the rulebook first',
  ),
];

const fits = (months: Row['months'], month: number): boolean =>
  !months || (months[0] <= months[1] ? month >= months[0] && month <= months[1] : month >= months[0] || month <= months[1]);

/** Set types for a species at a kind of place in a month, the best first; empty when the table has none. */
export const suggestionsFor = (species: Species, kind: StationKind, month: number): Suggestion[] =>
  TABLE.filter((r) => r.species === species && r.kinds.includes(kind) && fits(r.months, month)).map(({ type, built, why }) => ({
    type,
    built,
    why,
  }));
