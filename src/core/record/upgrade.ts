import type { Kind } from './kinds';

type Fields = Record<string, unknown>;

/** What an older body meant by elevations: where the zero of a gauge, or of the gauge on a surface of a water, lay by the record of that time. */
export interface Zeros {
  gauge: (gauge: string, at: number) => number;
  surface: (water: string, surface: 'pond' | 'tail', at: number) => number;
  /** of the water that a station lies on: its own surface unless another is named */
  station: (station: string, at: number, surface?: 'pond' | 'tail') => number;
}

/** Types that were renamed: the id of the record then, and now. */
const RENAMED: Record<string, string> = { 'dangling-bait': 'post-bait', 'ice-hanging-baited': 'ice-hanging' };

const without = (body: Fields, ...keys: string[]): Fields =>
  Object.fromEntries(Object.entries(body).filter(([key]) => !keys.includes(key)));
/** A depth with the level that was written beside it, on the gauge. */
const noting = (body: Fields, zero: number): Fields => ({
  ...without(body, 'level'),
  ...(typeof body.level === 'number' ? { noted: body.level - zero } : {}),
});
const list = (value: unknown): Fields[] => (Array.isArray(value) ? (value as Fields[]) : []);
const ms = (at: unknown): number => Date.parse(String(at));
const renamed = (body: Fields): Fields => ('type' in body ? { ...body, type: RENAMED[String(body.type)] ?? body.type } : body);

/**
 * Version 1 kept elevations in the water's datum wherever a level was meant, and copied the level of the moment beside what was measured under it.
 * Version 2 keeps what was seen: readings as the gauge showed them, and no copy.
 */
const FROM_1: Partial<Record<Kind, (body: Fields, zeros: Zeros, occurred: Date) => Fields>> = {
  reading: (body, zeros) => ({ ...body, level: Number(body.level) - zeros.gauge(String(body.gauge), ms(body.at)) }),
  logged: (body, zeros) => ({
    ...body,
    points: list(body.points).map((p) => ({ ...p, level: Number(p.level) - zeros.gauge(String(body.gauge), Number(p.at)) })),
  }),
  forecast: (body, zeros) => ({
    ...body,
    points: list(body.points).map((p) => {
      const zero = zeros.gauge(String(body.gauge), Number(p.at));
      return { ...p, low: Number(p.low) - zero, middle: Number(p.middle) - zero, high: Number(p.high) - zero };
    }),
  }),
  stationLevel: (body, zeros) => noting(body, zeros.station(String(body.station), ms(body.at))),
  station: (body, zeros, occurred) => {
    const zero = (at: number): number => zeros.surface(String(body.water), body.surface as 'pond' | 'tail', at);
    const own = (value: unknown): Fields | null => (value ? noting(value as Fields, zero(ms((value as Fields).at))) : null);
    return {
      ...body,
      bed: own(body.bed),
      measures: list(body.measures).map((m) => without(m, 'level')),
      across: own(body.across),
      crest: typeof body.crest === 'number' ? { height: body.crest - zero(occurred.getTime()), at: occurred.toISOString() } : null,
    };
  },
  water: (body, zeros, occurred) => {
    const at = occurred.toISOString();
    const zero = zeros.surface(String(body.id), 'pond', occurred.getTime());
    const safe = body.safe as Fields | null;
    return {
      ...body,
      safe: safe && { ...safe, level: Number(safe.level) - zero, at },
      areas: list(body.areas).map((a) => ({ ...a, level: Number(a.level) - zero, at })),
      pipes: list(body.pipes).map((p) => ({ ...p, sill: Number(p.sill) - zero, at })),
    };
  },
  opening: ({ width, sill, ...body }, zeros) => ({
    ...body,
    set: null,
    states: [{ id: body.id, at: body.opened, width, sill: Number(sill) - zeros.surface(String(body.water), 'pond', ms(body.opened)) }],
  }),
  set: (body, zeros) => ({
    ...renamed(body),
    settings: list(body.settings).map((s) => {
      const zero = (surface: 'pond' | 'tail'): number => zeros.station(String(body.station), ms(s.at), surface);
      const noted = Object.fromEntries(
        (['pond', 'tail'] as const).flatMap((axis) => (typeof s[axis] === 'number' ? [[axis, s[axis] - zero(axis)]] : [])),
      );
      return { ...without(s, 'pond', 'tail'), ...(Object.keys(noted).length > 0 ? { noted } : {}) };
    }),
  }),
  intent: renamed,
};

/** A body of any version in the shape of today. */
export function upgrade(kind: Kind, body: Fields, version: number, zeros: Zeros, occurred: Date): Fields {
  return version >= 2 ? body : (FROM_1[kind]?.(body, zeros, occurred) ?? body);
}
