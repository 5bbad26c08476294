import { BREAK_KINDS } from '#core/record/places';
import type { Opening } from '#core/water/placed';
import { CATALOGUE, findType } from '#core/sets/catalogue';
import { localDate, readLocalTime, toField } from '#core/time/localTime';
import { INCH } from '#core/units/factors';
import { levelText, offGauge, onGauge } from '#core/units/frame';
import { LEVEL_RANGE } from '#core/record/levelField';
import { parseLength, printLength, smallUnit, type LengthUnit } from '#core/units/length';
import { dusk, shapeOf } from '#core/ahead/ponds';
import type { waterOf } from '$lib/server/scouting';

const SQUARE_FOOT = 0.3048 ** 2;
/** A break deeper than this under the water is a slip of the pen. */
const DEEPEST = 3;

export type Goal = 'none' | 'level' | 'sets' | 'safe';
export const GOALS: readonly Goal[] = ['none', 'level', 'sets', 'safe'];

/** The set types that break a dam, with the breaks that belong to them. */
export const BREAKING = CATALOGUE.flatMap((t) => (t.acts ? [{ id: t.id, name: t.name, ...t.acts }] : []));

type Place = Awaited<ReturnType<typeof waterOf>>;

/** What the address asks of the designer, each field as typed and as taken; faults stand beside their field. */
export function askedOf(
  url: URL,
  { water, levels, frame, season }: Place,
  drawn: number | null,
  past: readonly Opening[],
  locals: App.Locals,
) {
  const { system, zone } = frame;
  const { now } = locals;
  const errors: Record<string, string> = {};
  const text = (name: string): string => url.searchParams.get(name)?.trim() ?? '';
  const length = (
    name: string,
    otherwise: number,
    [least, most]: [number, number],
    say: string,
    unit: LengthUnit = smallUnit(system),
  ): number => {
    if (text(name) === '') return otherwise;
    const parsed = parseLength(text(name), unit, locals.who.words);
    if (!parsed.ok) errors[name] = parsed.sentence;
    else if (parsed.value < least || parsed.value > most) errors[name] = say;
    return parsed.ok && !errors[name] ? parsed.value : otherwise;
  };
  /** a level on the gauge, as an elevation */
  const level = (name: string, otherwise: number): number => offGauge(length(name, otherwise, [-10, 30], LEVEL_RANGE), frame);
  const time = (name: string): Date | null => {
    if (text(name) === '') return null;
    const read = readLocalTime(text(name), zone, 'first');
    if (!read.ok) errors[name] = read.sentence;
    return read.ok ? read.at : null;
  };

  const start = levels.known.pond ?? null;
  const acts = findType(text('of'))?.acts;
  const again = past.find((o) => o.id === text('again'));
  const preset = again
    ? { shape: again.shape, width: again.width, depth: start === null ? 8 * INCH : start - again.sill, count: again.count }
    : {
        shape: acts?.shape ?? ('rectangle' as const),
        width: acts?.width ?? 12 * INCH,
        depth: acts?.depth ?? 8 * INCH,
        count: acts?.breaks ?? 1,
      };
  const square = system === 'us' ? SQUARE_FOOT : 1;
  const typedArea = text('area') === '' ? null : Number(text('area').replace(/[ ,]/g, ''));
  if (typedArea !== null && !(typedArea > 0 && typedArea * square < 1e7))
    errors.area = 'The area of the pond is above 0 and under 1000 hectares.';
  const area = typedArea !== null && !errors.area ? typedArea * square : drawn;
  const width = length('width', preset.width, [0.02, 20], 'A break is between 1 in and 65 ft wide.');
  const rise = length('rise', water.rise ?? 0, [0, 1], 'A pond rises between 0 and 3 ft in a day.');
  const sill = level('sill', start === null ? 0 : onGauge(start, frame) - preset.depth);
  if (start !== null && start - sill > DEEPEST)
    errors.sill = 'That break is over 10 ft deep: type the level of its lowest point on the gauge.';
  const count = text('count') === '' ? preset.count : Number(text('count'));
  if (!Number.isInteger(count) || count < 1 || count > 6) errors.count = 'Between one and six breaks alike.';
  const kind = BREAK_KINDS.find((k) => k === text('shape')) ?? preset.shape;
  const opened = time('openAt');
  if (opened && opened.getTime() > now.getTime() + 72 * 3_600_000)
    errors.openAt = 'The forecast reaches three days: choose an earlier time.';
  const mended = text('mended') === 'never' ? null : text('mended') === 'at' ? time('mendedAt') : dusk(opened ?? now, zone, season.line);
  if (text('mended') === 'at' && !mended && !errors.mendedAt) errors.mendedAt = 'Say when it is plugged.';
  if (mended && mended.getTime() <= (opened ?? now).getTime()) errors.mendedAt = 'It is plugged after it was opened.';
  // a level that was typed is wanted, whatever stands in the list beside it
  const goal = GOALS.find((g) => g !== 'none' && g === text('want')) ?? (text('goal') === '' ? 'none' : 'level');
  const goalLevel = goal === 'level' ? level('goal', 0) : null;
  if (goal === 'level' && text('goal') === '') errors.goal = 'Type the level that is wanted.';
  if (goal === 'safe' && !water.safe) errors.want = 'No safe level is kept for this water: correct the water in the book.';
  const by = time('by') ?? new Date(now.getTime() + 24 * 3_600_000);
  if (by.getTime() > now.getTime() + 7 * 24 * 3_600_000) errors.by = 'The forecast reaches a week at most.';
  return {
    errors,
    start,
    area,
    areaTyped: typedArea !== null,
    rise,
    sill,
    depth: start === null ? 0 : start - sill,
    count: errors.count ? 1 : count,
    width,
    shape: shapeOf({ shape: kind, width, sill }, start ?? sill),
    opened,
    mended,
    widens: text('widens') === 'yes',
    goal,
    goalLevel,
    by,
    today: localDate(now, zone),
    typed: {
      of: text('of'),
      again: again?.id ?? '',
      shape: kind as string,
      count: text('count') || String(preset.count),
      width: text('width') || printLength(width, system),
      sill: text('sill') || (start === null ? '' : levelText(sill, frame)),
      rise: text('rise') || (water.rise === null ? '' : printLength(rise, system)),
      area: text('area') || (area === null ? '' : String(Math.round(area / square))),
      openAt: text('openAt'),
      mended: text('mended') || 'dusk',
      mendedAt: text('mendedAt'),
      widens: text('widens') || 'no',
      want: goal as string,
      goal: text('goal'),
      by: text('by') || toField(by, zone),
    },
  };
}

export type Asked = ReturnType<typeof askedOf>;
