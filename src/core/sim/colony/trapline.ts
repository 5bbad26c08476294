import { drawFamily, growOlder, stillHere, type Lived } from './family';
import { liveNight, type Break, type Event, type Ground, type Post, type Standing, type World } from './night';
import { drawWeather, freeze, iceOn, pondAtRest, type Day } from './pond';
import { MINUTES } from './rules';

/** What is the same for every plan: the pond, who may live there, the season. */
export interface Setting {
  acres: number;
  /** m³/s without rain */
  inflow: number;
  grounds: readonly Ground[];
  lived: Lived;
  nights: number;
  /** 1 to 12, as the first night falls */
  month: number;
  /** the night about which frost sets in; `nights` or more for none */
  cold: number;
}

/** How somebody means to trap it. */
export interface Plan {
  /** sets in the order of placing */
  posts: readonly Post[];
  /** what stands instead of a set that missed; left out: it is remade as it was */
  instead?: ReadonlyMap<string, Post>;
  /** traps that there are */
  traps: number;
  /** sets placed in a day at most */
  pace: number;
  breaks: Break | null;
  /** nights between two checks */
  every: number;
  /** minutes of a day */
  minutes: number;
}

/** One night of a season, for reading it again. */
export interface Night {
  events: Event[];
  /** of each hour from dusk, m from the level at rest */
  levels: number[];
  /** on still water, m */
  ice: number;
  caught: number;
  standing: number;
  /** what was done in the day before it, min */
  minutes: number;
  /** the line was looked over in the day before it */
  looked: boolean;
  /** stops that did not fit into that day */
  owed: number;
}

/** What a season came to. */
export interface Season {
  lived: number;
  caught: number;
  left: number;
  /** gone by themselves */
  went: number;
  /** the night of the last catch, from 1; null without one */
  last: number | null;
  /** struck and not held */
  missed: number;
  /** how surely those that are left turn from the gear they know best, on the average; 0 when none is left */
  shy: number;
  minutes: number;
  /** nights of a trap standing outside its levels or in ice when somebody came by */
  idle: number;
  /** stops that did not fit into their day */
  owed: number;
  nights: Night[];
}

const day = (days: readonly Day[], at: number): Day => days[at] ?? { rain: 0, air: 5 };

/**
 * Lives one season under a plan: each day what fits into its minutes, each night what the animals do.
 *
 * @param random even chances from 0 to 1: the same ones give the same season
 */
export function liveSeason(random: () => number, setting: Setting, plan: Plan): Season {
  const pond = pondAtRest(setting.acres, setting.inflow);
  const family = drawFamily(random, setting.lived);
  const days = drawWeather(random, setting.nights, setting.cold);
  const world: World = { pond, grounds: setting.grounds, family, standing: [], worked: new Set() };
  const nights: Night[] = [];
  const queue = plan.posts.slice(0, plan.traps);
  for (let n = 0; n < setting.nights; n += 1) {
    const work = workDay(world, plan, queue, n);
    const opened = work.looked ? plan.breaks : null;
    const { events, levels } = liveNight(random, world, day(days, n), opened);
    freeze(pond, day(days, n));
    growOlder(random, family, monthOf(setting.month, n));
    const caught = events.filter((e) => e.did === 'caught').length;
    nights.push({ events, levels, ice: iceOn(pond), caught, standing: world.standing.length, ...work });
  }
  return summed(world, nights);
}

const monthOf = (month: number, night: number): number => ((month - 1 + Math.floor(night / 30)) % 12) + 1;

/** What one day's minutes allow: the checks that are due first, then what is still to be placed. */
function workDay(world: World, plan: Plan, queue: Post[], n: number): { minutes: number; owed: number; looked: boolean } {
  const worked = new Set<string>();
  const looked = n === 0 || n % plan.every === 0;
  let minutes: number = looked ? MINUTES.way + (plan.breaks ? MINUTES.opens : 0) : 0;
  let owed = 0;
  const fits = (more: number): boolean => minutes + more <= plan.minutes;
  if (looked)
    for (const [at, post] of world.standing.entries()) {
      const takes = post.state === 'set' ? MINUTES.look : post.state === 'full' ? MINUTES.caught : MINUTES.remake;
      if (!fits(takes)) {
        owed += 1;
        continue;
      }
      minutes += takes;
      if (post.state !== 'set') worked.add(post.ground);
      world.standing[at] = remade(post, plan);
    }
  for (let placed = 0; looked && placed < plan.pace && queue[0]; placed += 1) {
    const takes = MINUTES.placing[queue[0].gear];
    if (!fits(takes)) break;
    minutes += takes;
    const [post] = queue.splice(0, 1);
    if (post) world.standing.push(standing(post));
    if (post) worked.add(post.ground);
  }
  world.worked = worked;
  return { minutes, owed, looked };
}

const standing = (post: Post): Standing => ({ ...post, state: 'set', animal: null });

/** A set as it is left behind: as it was, or changed where it missed and the plan says so. */
function remade(post: Standing, plan: Plan): Standing {
  const missed = post.state === 'sprung' || post.state === 'down';
  return standing((missed && plan.instead?.get(post.id)) || post);
}

function summed({ family }: World, nights: Night[]): Season {
  const count = (...dids: string[]): number => nights.reduce((all, n) => all + n.events.filter((e) => dids.includes(e.did)).length, 0);
  const here = stillHere(family);
  const last = nights.findLastIndex((n) => n.caught > 0);
  return {
    lived: family.length,
    caught: count('caught'),
    left: here.length,
    went: family.filter((a) => a.gone === 'left' || a.gone === 'died').length,
    last: last < 0 ? null : last + 1,
    missed: count('touched', 'sprung'),
    shy: here.length === 0 ? 0 : here.reduce((all, a) => all + Math.max(...Object.values(a.shy)), 0) / here.length,
    minutes: nights.reduce((all, n) => all + n.minutes, 0),
    idle: count('over', 'frozen'),
    owed: nights.reduce((all, n) => all + n.owed, 0),
    nights,
  };
}
