/** Where a gauge hangs: its zero over the water's datum, m, and where it lay before it was moved. */
export interface Hung {
  zero: number;
  earlier: readonly { until: string; zero: number }[];
}

/** Elevation of a gauge's zero at a moment, m over the water's datum. */
export function zeroAt({ zero, earlier }: Hung, at: number): number {
  const past = earlier.filter((e) => at < Date.parse(e.until)).sort((a, b) => a.until.localeCompare(b.until))[0];
  return past?.zero ?? zero;
}

/** What a gauge showed as an elevation. */
export const elevationOf = (gauge: Hung | undefined, shown: number, at: number): number => shown + (gauge ? zeroAt(gauge, at) : 0);

/** An elevation as the gauge would have shown it. */
export const shownBy = (gauge: Hung | undefined, elevation: number, at: number): number => elevation - (gauge ? zeroAt(gauge, at) : 0);

/** The gauge after it was moved at a moment, the water standing still: what it showed before and after. */
export function moved<G extends Hung>(gauge: G, at: Date, before: number, after: number): G {
  const until = at.toISOString();
  const held = zeroAt(gauge, at.getTime());
  const shift = before - after;
  const earlier = gauge.earlier.map((e) => (e.until > until ? { ...e, zero: e.zero + shift } : e));
  return {
    ...gauge,
    zero: gauge.zero + shift,
    earlier: [...earlier, { until, zero: held }].sort((a, b) => a.until.localeCompare(b.until)),
  };
}

/** A gauge hung below a dam, from the drop measured across it. @param pond elevation of the pond, m @param drop m down to the water below @param shown what it shows there */
export const hungBelow = (pond: number, drop: number, shown: number): Hung & { earlier: [] } => ({
  zero: pond - drop - shown,
  earlier: [],
});
