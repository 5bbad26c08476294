import { inches } from '../units/factors';
import { an, agree, many } from '../units/many';
import { monthsText } from '../sets/search';
import type { System } from '../units/factors';
import { tempText } from '../units/weather';
import { capital, sayFor, type Say } from './say';
import { otherSide, SCHOOLS, type SchoolId, type Side } from './schools';

/** What a rule says: its subject in a few words, and the sentence with its figures. */
interface Words<V> {
  about: string;
  sentence: (values: V, say: Say) => string;
}
const words = <V>(own: Words<V>): Words<V> => own;

const hours = (minutes: number): string => `${Math.round(minutes / 6) / 10} h`;
const list = (names: readonly string[]): string => names.join(' and ');
const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

interface InReach {
  name: string;
  apart: number;
  reach: number;
}

export const CRITIQUE = {
  othersOnTheGround: words<{ users: string; proud: number }>({
    about: 'Others walk there',
    sentence: ({ users, proud }, { length }) =>
      `It stands ${length(proud)} out of the water, and of this ground you noted: ${users}. Put it under water, or take another device.`,
  }),
  tiedToWood: words<{ tie: number }>({
    about: 'Tie too short',
    sentence: ({ tie }, { length }) =>
      `On ${length(tie)} of cable a beaver sits at the wood it is tied to, and can fell or bark it. Four feet keep it off.`,
  }),
  wrapHigh: words<{ species: string }>({
    about: 'Wrap above the ground',
    sentence: ({ species }) =>
      `${capital(an(species))} gnaws a wooden stake where the cable lies: wrap it low, under ground or water, where no tooth comes.`,
  }),
  roadInReach: words<InReach>({
    about: 'The road within reach',
    sentence: ({ name, apart, reach }, { length }) =>
      `Its catch reaches ${length(reach)}, and ${name} lies ${length(apart)} off: shorter, or anchored on the other side.`,
  }),
  crestInReach: words<InReach>({
    about: 'The crest within reach',
    sentence: ({ name, apart, reach }, { length }) =>
      `Its catch reaches ${length(reach)}, and ${name} lies ${length(apart)} off: over it, it hangs dry on the lower face. Shorter, or farther from it.`,
  }),
  logInReach: words<InReach>({
    about: 'A log within reach',
    sentence: ({ name, apart, reach }, { length }) =>
      `Its catch reaches ${length(reach)}, and ${name} lies ${length(apart)} off: it wraps there, and climbs out or chews free. Clear it, or shorter.`,
  }),
  softBed: words<{ shoulder: boolean }>({
    about: 'Knee-deep mud',
    sentence: ({ shoulder }) =>
      `A boot sinks past the knee here: a bed sinks too, and rocks.${shoulder ? ' Firm shoulders beside it first.' : ' A flat stone or board under it, or the firm shoulder beside it.'}`,
  }),
  levelSwings: words<{ float: string }>({
    about: 'Fixed on moving water',
    sentence: ({ float }) =>
      `The level here moves, as you measured: a fixed one is drowned or left dry. ${capital(an(float.toLowerCase()))} rides with it.`,
  }),
  logSteep: words<{ slope: number }>({
    about: 'The log is steep',
    sentence: ({ slope }) =>
      `It slopes ${Math.round(slope)}°: a trap stands askew on it and slides. Cut a level notch, or set nearer the flat end.`,
  }),
  leeward: words<{ from: string }>({
    about: 'Scent goes inland',
    sentence: ({ from }) =>
      `Until the check it blows from the ${from}, over the water onto this bank: the opposite bank sends the scent over the water.`,
  }),
  guideNone: words<object>({
    about: 'Nothing leads to the pan',
    sentence: () => 'Nothing leads the foot: they pass a hand beside it. One thin stick each side makes the foot come down on it.',
  }),
  guideStone: words<object>({
    about: 'Guide stones',
    sentence: () => 'A stone rolls under a foot and shifts the bed: a thin stick pushed in leads as well.',
  }),
  iceReaches: words<{ under: number; ice: number }>({
    about: 'Ice will lie on it',
    sentence: ({ under, ice }, { length }) =>
      `${length(ice)} of ice by the check, and it stands ${length(under)} under: it is frozen in. Deeper, or a place that stays open.`,
  }),
  twigsOn: words<object>({
    about: 'Twigs on the bait',
    sentence: () => 'Side twigs close the loops on the way down, or fire them: trim the bait clean.',
  }),
  sticksBelow: words<{ clear: string }>({
    about: 'Sticks under the hole',
    sentence: ({ clear }) =>
      `The chisel felt sticks through this hole: the loops shut on them. ${clear ? `${clear} felt clear; here` : 'Here'} a body-grip hangs.`,
  }),
  loopPlain: words<object>({
    about: 'Loop not loaded',
    sentence: () => 'A loop that is not loaded opens at a touch and is pushed aside: bend the cable so that it wants to close.',
  }),
  braceFirm: words<object>({
    about: 'Support too firm',
    sentence: () =>
      'The catch of this set should go to water: a support braced round wood holds it where it stood, and twists the cable. Push it in only.',
  }),
  anchorUnsaid: words<object>({
    about: 'Anchor',
    sentence: () => 'What it is tied to is not written down: it is how a trap is found again.',
  }),
  tooMany: words<{ sets: number; minutes: number; light: number }>({
    about: 'More than a day',
    sentence: ({ sets, minutes, light }) =>
      `${sets} checks fall due on one day: ${hours(minutes)} at the sets alone, and it has ${hours(light)} of light. Pull some, split them, or check some a day early.`,
  }),
  isPlugged: words<object>({
    about: 'Plugged',
    sentence: () => 'The way was found plugged: nobody passes until it is open. Set the run beside it.',
  }),
  notInUse: words<{ said: string; idle: boolean }>({
    about: 'Its sign',
    sentence: ({ said, idle }) => `${said}${idle ? ' More lure will not help.' : ''}`,
  }),
  otherAnimal: words<{ species: string; others: readonly string[] }>({
    about: 'Sign of another animal',
    sentence: ({ species, others }) => `Here sign of ${list(others)} was noted, none of ${an(species)}.`,
  }),
  noSign: words<{ said: string }>({ about: 'Its sign', sentence: ({ said }) => said }),
  passagesOpen: words<{ count: number; set: number }>({
    about: 'Ways left open',
    sentence: ({ count, set }) =>
      `${count} ways lead through here and ${set} ${agree(set, 'has', 'have')} a set: the others are taken instead.`,
  }),
  noPosition: words<object>({ about: 'No position', sentence: () => 'The place has none: somebody else cannot find it, nor you in snow.' }),
  noDepth: words<object>({ about: 'Depth', sentence: () => 'The depth here was never measured: how far it can be lowered is not known.' }),
  outOfMonths: words<{ months: number[] }>({
    about: 'Out of its months',
    sentence: ({ months }) => `Mostly made ${monthsText(months)} (rule of thumb).`,
  }),
  iceOverIt: words<object>({
    about: 'Ice over it',
    sentence: () =>
      'The water is frozen and it reaches the surface: it stands in the ice. Take a set under ice, or a place that is kept open.',
  }),
  jawOnFrost: words<{ coldest: number }>({
    about: 'Lower jaw on wet ground',
    sentence: ({ coldest }, { system }) =>
      `Down to ${tempText(coldest, system)} before the check: the lower jaw freezes to the ground. Rest it on two small sticks.`,
  }),
  panFreezes: words<{ coldest: number }>({
    about: 'Pan at the surface',
    sentence: ({ coldest }, { system }) =>
      `Down to ${tempText(coldest, system)} before the check: a pan that is bare or barely covered freezes down.`,
  }),
  smallFoothold: words<{ size: string }>({
    about: 'Foothold too small',
    sentence: ({ size }) => `A No. ${size} holds a beaver by a toe. A No. 4 or 5 takes the foot.`,
  }),
  smallGrip: words<{ size: string; usual: string }>({
    about: 'Trap too small',
    sentence: ({ size, usual }) =>
      `${capital(an(size))} is smaller than the ${usual} that this set is built for: they turn away, or spring it with the chest outside.`,
  }),
  largeGrip: words<{ size: string }>({
    about: 'Trap too large',
    sentence: ({ size }) => `A muskrat passes ${an(size)} without firing it, and an otter does not. A 110 or 120 is enough.`,
  }),
  spentCable: words<{ tag: string }>({
    about: 'Cable used before',
    sentence: ({ tag }) => `${tag} caught once: its cable is bent. Put in another and book the old one as scrap.`,
  }),
  noDevice: words<object>({
    about: 'No trap chosen',
    sentence: () => 'It is prepared without a tag: choose one, or it is not on the load.',
  }),
  oneClassKnown: words<{ said: string }>({ about: 'They may know it', sentence: ({ said }) => said }),
  notchTooFirm: words<{ times: number }>({
    about: 'Notch too firm',
    sentence: ({ times: n }) => `Bait was taken ${times(n)} without a shot: a lighter notch. The place is good.`,
  }),
  notchTooLight: words<{ times: number }>({
    about: 'Notch too light',
    sentence: ({ times: n }) => `It fired empty ${times(n)} since it was last changed: current and debris fire a light notch.`,
  }),
  firesEmpty: words<{ times: number }>({
    about: 'Fires empty',
    sentence: ({ times: n }) =>
      `${capital(times(n))} empty since it was last changed: bend the wires in, or set it lower, so that the hind end does not brush it.`,
  }),
  bedRocks: words<{ times: number }>({
    about: 'It may rock',
    sentence: ({ times: n }) =>
      `${capital(times(n))} fired or missed with nothing held since it was last changed: a trap that rocks closes on the edge of a foot. Bed it anew and press on its springs with a stick.`,
  }),
  moundFar: words<{ to: number }>({
    about: 'Mound too far',
    sentence: ({ to }, { length }) =>
      `${length(to)} from pan to mound: it smells it standing short of the pan. About ${length(inches(11))}.`,
  }),
  loopKnocked: words<{ times: number }>({
    about: 'Loop knocked aside',
    sentence: ({ times: n }) => `${capital(times(n))} since it was last changed: load it, brace its support, raise it an inch.`,
  }),
  mudInTheBreak: words<{ times: number }>({
    about: 'Mud in the trap',
    sentence: ({ times: n }) => `They mended over it ${times(n)}: in the patrol channel beside the leak no mud is pushed.`,
  }),
  lockAtTheTop: words<object>({
    about: 'Lock at the top',
    sentence: () => 'It drops at the first touch. At the side it closes later, when head and shoulders are through.',
  }),
  overPatience: words<{ looks: number; wait: number }>({
    about: 'Untouched for long',
    sentence: ({ looks, wait }) =>
      `${many(looks, 'look')} in a row found it untouched, and such a set tells after ${wait}. First suspect: nobody passes here.`,
  }),
  wentRound: words<{ passes: number; most: number }>({
    about: 'They go round it',
    sentence: ({ passes, most }, { percent }) =>
      `${passes} went round it before the camera and none was seen at it: at most ${percent(most)} of passes lead to a touch. Change one thing tonight, the fence first.`,
  }),
  peltSlipping: words<{ times: number }>({
    about: 'Hair slipping',
    sentence: ({ times: n }) => `Found ${times(n)} here: a catch lies too long in this water. Check sooner, or set where it lies colder.`,
  }),
  eatenHere: words<{ times: number }>({
    about: 'Eaten here',
    sentence: ({ times: n }) => `A catch was chewed or eaten ${times(n)} here: check sooner, hold it under water, or roof it.`,
  }),
  stopsShort: words<{ times: number }>({
    about: 'Stops short',
    sentence: ({ times: n }) =>
      `A catch lay short of the deep end ${times(n)}: it can reach the air there. Clear its way, look at the lock, and find what it wraps on.`,
  }),
  failedHere: words<{ looks: number }>({
    about: 'Tried here before',
    sentence: ({ looks }) => `The same type stood here for ${many(looks, 'look')} without a catch. What is different this time?`,
  }),
  kindUntouched: words<{ name: string; sets: number; looks: number; by: readonly string[] }>({
    about: 'Another kind takes',
    sentence: ({ name, sets, looks, by }) =>
      `${sets} sets of the kind “${name.toLowerCase()}” had ${looks} looks on this water without a catch; what caught here: ${list(by)}.`,
  }),
  fenceKnown: words<{ sticks: number }>({
    about: 'Fence too heavy',
    sentence: ({ sticks }) => `Body-grips were used here and it has ${sticks} sticks: they read a fence. Two thin ones, or a bare loop.`,
  }),
  tailShort: words<{ tail: number; least: number }>({
    about: 'Tail too short',
    sentence: ({ tail, least }, { length }) => `${length(tail)} of slack reach neither water nor cover: ${length(least)} at least.`,
  }),
  tailWeaker: words<{ loop: number; tail: number }>({
    about: 'Tail weaker than its loop',
    sentence: ({ loop, tail }, { force }) => `The loop breaks at ${force(loop)} and its tail at ${force(tail)}: the weaker one counts.`,
  }),
  loopLarge: words<{ loop: number }>({
    about: 'Loop too large',
    sentence: ({ loop }, { length }) => `Through ${length(loop)} a beaver goes to the hips, and slips or twists out.`,
  }),
  loopSmall: words<{ loop: number }>({
    about: 'Loop too small',
    sentence: ({ loop }, { length }) => `${length(loop)} are pushed aside by the nose of an adult.`,
  }),
  strangerClosed: words<{ who: string; how: readonly string[] }>({
    about: 'A closed animal passes here',
    sentence: ({ who, how }) =>
      `Sign of ${an(who)} was noted, it is closed by your rulebook, and nothing here spares it${how.length > 0 ? `: ${how.join(', or ')}` : ''}.`,
  }),
  dogAtThePan: words<{ users: string }>({
    about: 'A dog steps there',
    sentence: ({ users }) => `The pan lies where a dog can step on it, and of this ground you noted: ${users}. Deeper, or another place.`,
  }),
  dogAtTheLoop: words<{ users: string; proud: number }>({
    about: 'A dog meets the loop',
    sentence: ({ users, proud }, { length }) =>
      `It stands ${length(proud)} out of the water, and of this ground you noted: ${users}. A stop on the loop, or another device.`,
  }),
  noRoof: words<object>({
    about: 'No roof',
    sentence: () => 'Ducks and owls come down on an open raft: a board over it, a hand above the pans.',
  }),
  againstTheBook: words<{ said: readonly string[] }>({
    about: 'Against your rulebook',
    sentence: ({ said }) => `${capital(said.join('; '))}. It stands without an exemption.`,
  }),
  firmForMink: words<object>({
    about: 'Notch too firm',
    sentence: () => 'A mink weighs too little for the firm notch: the middle one, or the light.',
  }),
  lureOnBlind: words<{ lures: readonly string[]; type: string }>({
    about: 'Scent on a blind set',
    sentence: ({ lures, type }) =>
      `${capital(type)} takes what passes anyway. ${capital(list(lures))} calls others to it, raccoons first, and stops the one that would walk on.`,
  }),
  drawsAnother: words<{ lures: readonly string[]; calls: readonly string[]; species: string }>({
    about: 'It calls another animal',
    sentence: ({ lures, calls, species }) => `${capital(list(lures))} draws ${list(calls)}. This set is meant for ${an(species)}.`,
  }),
  nothingDraws: words<{ usual: string }>({
    about: 'Nothing draws',
    sentence: ({ usual }) => `This set lives by ${usual}: left blind nothing has a reason to come to it.`,
  }),
  castorQuiet: words<object>({
    about: 'Castor out of its months',
    sentence: () => 'They answer castor from late winter to spring. Now peeled sticks or food lure draw more.',
  }),
  lureWashed: words<{ rain: number }>({
    about: 'Washed off',
    sentence: ({ rain }, { system }) =>
      `${system === 'us' ? `${(rain / 25.4).toFixed(1)} in` : `${Math.round(rain)} mm`} of rain since it was made: open scent is gone. Fresh over the old, under a bit of bark.`,
  }),
  otherSchool: words<{ matters: readonly { matter: SchoolId; side: Side }[] }>({
    about: 'The other school',
    sentence: ({ matters }) =>
      matters
        .map(({ matter, side }) => {
          const own = SCHOOLS[matter];
          const wanted = own[otherSide(side)];
          return `${own.about}: here ${own[side].says}, your line holds with ${wanted.says}, since ${wanted.why}.`;
        })
        .join(' '),
  }),
  dragged: words<{ times: number; by: Side | null }>({
    about: 'Its anchor moved',
    sentence: ({ times: n, by }) => {
      const { one, other } = SCHOOLS.bag;
      const told = by === null ? [one, other] : [SCHOOLS.bag[by]];
      return `Dragged ${times(n)} since it was last changed: ${told.map(({ says, why }) => `${says} (${why})`).join(', or ')}.`;
    },
  }),
  dogHeld: words<{ dog: string }>({
    about: 'The dog is held',
    sentence: ({ dog }) =>
      dog === 'wall'
        ? 'Against the wall the dog does not swing away: turn the trap so that it points to the stream.'
        : 'In mud the dog does not let go, and freezes in: turn it up, or rest the lower jaw on two small sticks.',
  }),
  panHeavy: words<{ pull: number; most: number; species: string }>({
    about: 'Pan too heavy',
    sentence: ({ pull, most, species }, { weight }) =>
      `It takes ${weight(pull)} to fire, and the lightest ${species} that is wanted gives ${weight(most)}.`,
  }),
  panLight: words<{ pull: number; least: number; visitors: readonly string[] }>({
    about: 'Pan too light',
    sentence: ({ pull, least, visitors }, { weight }) =>
      `${weight(pull)} are fired by ${list(visitors)}, whose sign was noted here: over ${weight(least)} they walk across it.`,
  }),
  loopsCost: words<{ loops: number; lost: number; spare: number }>({
    about: 'What a catch costs',
    sentence: ({ loops, lost, spare }) =>
      `One catch ruins about ${lost} of its ${loops} loops, and ${spare === 0 ? 'no snare is' : `${many(spare, 'snare')} ${agree(spare, 'is', 'are')}`} free in the shed: bring more before it stands.`,
  }),
  cameraIdle: words<{ label: string }>({
    about: 'Camera at an idle set',
    sentence: ({ label }) =>
      `A camera watches here, and the set is ${label}: mend it, or hang the camera where the answer changes what you do.`,
  }),
  baitOld: words<{ nights: number; lasts: number }>({
    about: 'Old bait',
    sentence: ({ nights, lasts }) => `${nights} nights since it was set: bait and lure in open water work for about ${lasts}. Renew them.`,
  }),
  idleAhead: words<{ said: string }>({ about: 'Idle by its check', sentence: ({ said }) => said }),
  cutOff: words<{ said: string }>({ about: 'Cut off by its check', sentence: ({ said }) => said }),
  noPhoto: words<object>({ about: 'No photo', sentence: () => 'No photo shows how it was left: what was moved cannot be told later.' }),
};
export type CritiqueId = keyof typeof CRITIQUE;
export type CritiqueValues<K extends CritiqueId> = (typeof CRITIQUE)[K] extends Words<infer V> ? V : never;

/** A remark as it is read. */
export function remarkText({ id, values }: { id: CritiqueId; values: unknown }, system: System): { about: string; sentence: string } {
  const own = CRITIQUE[id] as Words<unknown>;
  return { about: own.about, sentence: own.sentence(values, sayFor(system)) };
}
