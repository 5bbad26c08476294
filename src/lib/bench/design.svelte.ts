import { cutAndCarry } from '#core/gear/carry';
import { designScene } from '#core/scene/designScene';
import { armingCheck } from '#core/sets/arming';
import { setTypeOf } from '#core/sets/catalogue';
import { tell } from '#core/words/finding';
import { againstLive } from '#core/sets/fit';
import { isAsked } from '#core/sets/asked';
import { atWork } from '#core/sets/order';
import { circleFindings, reachOf, slideFindings, wireReachOf, withinSet } from '#core/sets/circles';
import { drawnLength } from '#core/sets/design';
import { numberSpec, type AskedWhen, type FilledPosition } from '#core/sets/setType';
import { parseNumber, printNumber } from '#core/sets/numberText';
import { aimTexts } from '#core/sets/describe';
import { filled, filledText, handsOf, lyingKnown } from '#core/sets/fills';
import type { NumberKey } from '#core/sets/keys';
import { bedOf } from '#core/stations/placed';
import { layOut, placeOf, statesOf, usualDevices } from '#core/sets/standing';
import type { System } from '#core/units/factors';
import { offGauge } from '#core/units/frame';
import { parseLength, printLength, smallUnit } from '#core/units/length';
import type { Known } from '#core/water/levels';
import { weighed } from '#core/critique/weigh';
import { critique } from '#core/critique/critique';
import type { Mend, Remark } from '#core/critique/rule';
import type { TrapSet } from '#core/record/kinds';
import { othersIn } from '#core/others/others';
import { luresFrom } from '#core/lure/typed';
import { builtWith } from '#core/lure/lure';
import { builtOf, sidesOf, towards } from '#core/schools/sides';
import { otherSide } from '#core/words/schools';
import { SITUATIONS } from '#core/rules/book';
import { judge, type Answer } from '#core/rules/judge';
import { standOf } from '#core/rules/stand';
import { baitFor } from '#core/sets/baitFor';
import { originWord } from '#core/water/originWord';
import type { Remedy } from '#core/water/remedy';
import { worst } from '#core/water/state';
import type { BenchData } from '$lib/server/benchData';
import { typed, type Kept } from '$lib/ui/kept';

/**
 * What the bench calculates from its fields, live: the design with its drawings, states, arming check and what it takes.
 *
 * @param ordered what the forecast asks of the set as it was saved: said until something is typed, so that one page has one order
 */
export function benchDesign(bench: BenchData, kept: () => Kept | null, system: System, ordered: Remedy | null) {
  const type = setTypeOf(bench.type);
  const fields: Record<string, string> = $state(
    Object.fromEntries(Object.entries(bench.fields).map(([name, value]) => [name, typed(kept(), name, value)])),
  );
  /** what if the water stood so much higher, m; thought only, never saved */
  let higher = $state(0);
  /** px there are for the drawings */
  let room = $state(600);

  const length = (text: string): number | null => {
    const read = parseLength(text, smallUnit(system), bench.words);
    return read.ok ? read.value : null;
  };
  /** what only matters under another choice is asked, and counts, under it alone */
  const asked = (spec: { when?: AskedWhen }): boolean => isAsked(type, (key) => fields[`c.${key}`], spec);
  const numbers = $derived.by(() => {
    const found: Record<string, number> = {};
    for (const [key, spec] of Object.entries(type.numbers)) {
      const text = fields[`n.${key}`]?.trim() ?? '';
      const read = text === '' ? null : parseNumber(spec, text, system, bench.words);
      if (read?.ok && asked(spec)) found[key] = read.value;
    }
    return found;
  });
  const choices = $derived(
    Object.fromEntries(
      Object.entries(type.choices).map(([key, { options }]) => {
        const typed = fields[`c.${key}`] ?? '';
        return [key, Object.hasOwn(options, typed) ? typed : ''];
      }),
    ),
  );
  /** what draws to it, as it is typed */
  const lures = $derived(luresFrom((name) => (fields[name] ?? '').trim()).lures);
  const chosen = $derived(
    Object.fromEntries(
      type.positions.flatMap(({ id }): [string, FilledPosition][] => {
        const device = bench.shed.find((d) => d.id === fields[`d.${id}`]);
        return device ? [[id, { class: device.class, size: device.size }]] : [];
      }),
    ),
  );
  const devices = $derived(Object.keys(chosen).length > 0 ? chosen : usualDevices(type));
  const surface = bench.station.surface;
  /** the level it is measured from: typed now, as it was when it was set, or the last reading */
  const levelNow = $derived.by(() => {
    const shown = length(fields.level ?? '');
    return shown === null ? (bench.levels.known[surface] ?? null) : offGauge(shown, bench.frame, surface);
  });
  const sheet = $derived(numbers.ice ?? bench.ice?.now ?? null);
  const then = $derived({
    ...bench.levels.known,
    ...(levelNow === null ? {} : { [surface]: levelNow }),
    ...(sheet === null ? {} : { sheet }),
  });
  const unchanged = $derived(
    bench.held !== null && Object.keys(bench.fields).every((name) => !/^([nc]\.|lure)/.test(name) || fields[name] === bench.fields[name]),
  );
  /** nothing was typed or chosen that makes it another set */
  const isAsHeld = $derived(Object.keys(bench.fields).every((name) => !/^[ncd]\./.test(name) || fields[name] === bench.fields[name]));
  const from: Known = $derived(unchanged && bench.heldThen ? bench.heldThen : then);
  const measuredHere = $derived(filled(type, placeOf(bench.station, bench.follows), from, { numbers, devices }));
  const design = $derived(
    layOut(
      type,
      {
        numbers,
        choices,
        ...(lures ? { lures } : {}),
        then: from,
        place: placeOf(bench.station, bench.follows),
        devices,
        hands: bench.hands,
      },
      system,
      bench.ice ?? {},
    ),
  );
  /** what the design says of itself, and of the catches near it */
  const findings = $derived.by(() => {
    const [hold] = design.holds;
    const circles = !hold
      ? []
      : hold.kind === 'slide'
        ? slideFindings(wireReachOf(hold), bench.neighbours)
        : circleFindings(reachOf(hold), [...withinSet(design.holds), ...bench.neighbours]);
    const told = [...design.findings, ...baitFor(type, choices, fields.species ?? ''), ...circles].map((f) => ({
      ...tell(f, system),
      severity: weighed(f),
    }));
    // two traps on one root are told of it once
    return told.filter((f, n) => told.findIndex((g) => g.about === f.about && g.sentence === f.sentence) === n);
  });
  /** what an old hand would say of it as it is typed */
  const remarks = $derived.by((): Remark[] => {
    const { around } = bench;
    if (!around) return [];
    const { species, state, anchor } = fields as Record<string, string>;
    const asked = { type, numbers, choices, lures, devices: chosen, design, then: from, surface, around, anchor: anchor ?? '' };
    return critique({ ...asked, species: species as TrapSet['species'], state: state as TrapSet['state'] });
  });
  /** who else could be in it */
  const others = $derived(
    othersIn({
      ...{ type, choices, design, surface, then: from, devices: Object.values(devices), panPull: numbers.panPull },
      species: (fields.species || type.species[0] || 'beaver') as TrapSet['species'],
      seen: bench.around?.seen ?? [],
      users: bench.around?.users ?? '',
    }),
  );
  /** the disputed matters that it touches: its side, the line's, and the change that brings it to the other */
  const sides = $derived.by(() => {
    const species = (fields.species || type.species[0] || 'beaver') as TrapSet['species'];
    const built = builtOf({ type, species, choices, devices: Object.values(devices), lures, numbers, parts: design.parts });
    return sidesOf(built).map(({ matter, side }) => ({
      ...{ matter, side, picked: bench.schools[matter] ?? null },
      change: towards(matter, otherSide(side), type),
    }));
  });
  /** rules of the book of which somebody says that it is so */
  const saidSo = kept()?.values?.attested;
  let attested = $state(saidSo === undefined ? [...(bench.rules?.attested ?? [])] : [saidSo].flat());
  /** what the rulebook says of it as it is typed */
  const answers = $derived.by((): Answer[] => {
    if (!bench.rules) return [];
    const { species, situation } = fields as Record<string, string>;
    const said = SITUATIONS.find((s) => s === situation) ?? null;
    const built = { design, choices, devices: Object.values(devices), surface, then: from, situation: said, attested };
    const stand = standOf(
      { ...built, species: (species || type.species[0]) as TrapSet['species'], opensDam: type.acts !== undefined },
      bench.rules.facts,
    );
    return judge(bench.rules.book, stand);
  });
  /** what a remark changed, to be taken back by one tap */
  let mended = $state<{ id: string; field: string; before: string } | null>(null);
  function mend({ id, mend: own }: Remark): void {
    if (!own) return;
    mended = { id, field: own.field, before: fields[own.field] ?? '' };
    change(own);
  }
  function change({ field, value }: Mend): void {
    fields[field] = typeof value === 'number' ? printLength(value, system) : value;
  }
  const work = $derived(
    atWork(
      { choices, devices, then: from, place: placeOf(bench.station, bench.follows) },
      design,
      lyingKnown(type, { numbers, place: placeOf(bench.station, bench.follows), then: from }),
    ),
  );
  const known = $derived.by(() => {
    const base = levelNow === null ? { ...then, [surface]: 0 } : then;
    return higher === 0 ? base : { ...base, [surface]: (base[surface] ?? 0) + higher };
  });
  const frame = (ratio: number) => ({ width: Math.max(240, room), height: Math.max(230, room * ratio) });
  const side = $derived(designScene(design, { view: 'side', known, surface, frame: frame(0.48), system, made: from[surface] ?? null }));
  const eye = $derived(designScene(design, { view: 'eye', known, surface, frame: frame(0.5), system, made: from[surface] ?? null }));
  const states = $derived.by(() => {
    const all = statesOf({ layout: design, devices: [] }, { known, age: {}, atMost: {} }, bench.frame);
    const speaks = worst(all);
    return ordered?.order && unchanged && higher === 0
      ? all.map((s) => (s === speaks ? { ...s, remedy: { ...ordered, then: '' } } : s))
      : all;
  });

  let start = 0;
  /** A length was drawn: its number follows, within its range, on the marks of the tape. */
  function pull(key: string, by: number, begins: boolean): void {
    const spec = numberSpec(type, key);
    if (!spec || spec.unit !== 'length') return;
    if (begins) start = numbers[key] ?? drawn(key) ?? spec.default ?? spec.min;
    const value = Math.min(Math.max(start + by, spec.min), spec.max);
    if (!begins || by !== 0) fields[`n.${key}`] = printLength(value, system);
  }
  /** A length that is drawn without having been typed. */
  const drawn = (key: string): number | null => {
    const mark = design.marks.find((m) => m.key === key);
    return mark ? drawnLength(mark) : null;
  };
  /** what follows from the bed where it is known, as the drawing shows it, whatever practice would be elsewhere */
  const onItsBed = (key: string): number | null => {
    const bed = bedOf(bench.station);
    if (key === 'depth') return bed === null || levelNow === null || levelNow < bed ? null : levelNow - bed;
    const shown = key === type.seen && (bed !== null || numbers.depth !== undefined || measuredHere.depth) ? drawn(key) : null;
    return shown === null || Math.abs(shown - (numberSpec(type, key)?.default ?? Infinity)) < 0.003 ? null : shown;
  };
  const origin = (key: string): string => {
    const spec = numberSpec(type, key);
    if (!spec) return '';
    const text = (fields[`n.${key}`] ?? '').trim();
    if (text !== '') return bench.copied && text === bench.fields[`n.${key}`] ? `as in ${bench.copied}` : 'you measured';
    const known = measuredHere[key as NumberKey];
    if (known) return filledText(known, bench.frame);
    const ownArm = handsOf(type, bench.hands)[key as NumberKey];
    if (ownArm !== undefined) return `${printNumber(spec, ownArm, system)}, as you measured yourself`;
    const there = onItsBed(key);
    if (there !== null) return `${printNumber(spec, there, system)}, ${key === 'depth' ? 'depth here' : 'on this bed'}`;
    if (spec.default === undefined) return 'not measured';
    return `${printNumber(spec, spec.default, system)}, ${originWord(spec.origin)}`;
  };

  return {
    type,
    fields,
    pull,
    asked,
    /** it is the set's own, and its place does not know it so */
    isOwn: (key: string): boolean => {
      const text = (fields[`n.${key}`] ?? '').trim();
      return text !== '' && numbers[key] !== undefined && numbers[key] !== measuredHere[key as NumberKey]?.value;
    },
    origin,
    get numbers() {
      return numbers;
    },
    get choices() {
      return choices;
    },
    get design() {
      return design;
    },
    /** what fails and wants a reason before it goes live */
    get doubtful() {
      return againstLive(design, then, system).doubtful;
    },
    /** what draws to it as its type is built */
    get usualLure() {
      return design.usualLure ?? builtWith(design.supplies);
    },
    get atWork() {
      return work;
    },
    get findings() {
      return findings;
    },
    get isAsHeld() {
      return isAsHeld;
    },
    get remarks() {
      return remarks;
    },
    get others() {
      return others;
    },
    get answers() {
      return answers;
    },
    get attested() {
      return attested;
    },
    set attested(rules: string[]) {
      attested = rules;
    },
    get sides() {
      return sides;
    },
    change,
    mend,
    get mended() {
      return mended;
    },
    unmend(): void {
      if (mended) fields[mended.field] = mended.before;
      mended = null;
    },
    get side() {
      return side;
    },
    get eye() {
      return eye;
    },
    get states() {
      return states;
    },
    aims: (device: string): string[] => aimTexts(design, device, known, system),
    get measured() {
      return levelNow !== null;
    },
    get carry() {
      return cutAndCarry(design, type.tools);
    },
    get arming() {
      return armingCheck(type, chosen, choices);
    },
    set room(px: number) {
      room = px;
    },
    get higher() {
      return higher;
    },
    set higher(by: number) {
      higher = by;
    },
  };
}

export type BenchDesign = ReturnType<typeof benchDesign>;
