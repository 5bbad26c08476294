import type { BuildKey } from '../animals/species';
import type { Held } from '../hold/reach';
import type { Layout } from '../water/layout';
import type { NumberKey } from './keys';

/** A length on a drawing. `to` is the end that moves when it is dragged; `grows` is the way it moves when the number grows. */
export interface Mark {
  /** the number it stands for; null when it follows from others */
  key: NumberKey | null;
  label: string;
  view: 'side' | 'eye';
  /** metres: along (side) or across (eye), and elevation */
  at: [number, number];
  to: [number, number];
  grows: [number, number];
}

/** The animal that is meant, drawn at its true size. */
export interface Travel {
  build: BuildKey;
  /** where its nose is, along and across */
  x: number;
  y?: number;
  /** elevation of its underside, m */
  z: number;
  pose: 'swims' | 'walks' | 'rears';
  /** how much higher its head is carried than its tail, rad */
  leans?: number;
}

/** What is cut from a roll or measured out rather than counted. */
export interface Supply {
  kind: 'cable' | 'wire' | 'rope' | 'lock' | 'swivel' | 'lure' | 'bait' | 'fill';
  what: string;
  /** m for cable, wire and rope; kg for fill; portions of lure and bait, pieces of lock and swivel */
  amount: number;
  /** the jar or bundle of the shed that it is taken from, where somebody said */
  jar?: string;
}

/** What holds the catch, and where it lets it go. */
export interface Hold {
  kind: 'tie' | 'slide' | 'live' | 'stake' | 'pole' | 'drowner';
  device: string;
  /** anchor, m: along, across, elevation */
  anchor: [number, number, number];
  /** from the anchor to the device, m */
  tether: number;
  held: Held;
  build: BuildKey;
  /** the deep end of a slide, m: along and elevation */
  deep?: [number, number];
}

/** A set as the bench draws it: its layout, the ground across the travel, the lengths on the drawings, the animal, and what holds it. */
export interface Design extends Layout {
  /** the ground across the travel where the device stands, left to right as the animal comes: metres and elevation */
  front: [number, number][];
  marks: Mark[];
  travel: Travel[];
  supplies: Supply[];
  /** what draws to it as its type is built, where somebody said otherwise */
  usualLure?: string;
  holds: Hold[];
}

/** A piece of a design; a set type is put together from several. */
export type Piece = Partial<Design>;

/** Pieces in their order, put together; the ground comes from the last piece that has one. */
export function assemble(...pieces: (Piece | null | false)[]): Design {
  const there = pieces.filter((piece): piece is Piece => piece !== null && piece !== false);
  const last = (key: 'ground' | 'front'): [number, number][] =>
    there.reduce<[number, number][]>((found, piece) => (piece[key]?.length ? piece[key] : found), []);
  return {
    parts: there.flatMap((piece) => piece.parts ?? []),
    ground: last('ground'),
    front: last('front'),
    needs: there.flatMap((piece) => piece.needs ?? []),
    free: there.flatMap((piece) => piece.free ?? []),
    findings: there.flatMap((piece) => piece.findings ?? []),
    marks: there.flatMap((piece) => piece.marks ?? []),
    travel: there.flatMap((piece) => piece.travel ?? []),
    supplies: there.flatMap((piece) => piece.supplies ?? []),
    holds: there.flatMap((piece) => piece.holds ?? []),
  };
}

/** A design of nothing: no device was chosen. */
export const NOTHING: Design = assemble();

/** A height is named by the side of the water on which it lies, whatever its number is counted from. */
function sided(label: string, from: number, to: number): string {
  if (label.endsWith('below water') && to > from + 1e-9) return label.replace('below water', 'above water');
  return label.endsWith('above water') && to < from - 1e-9 ? label.replace('above water', 'below water') : label;
}

/** Where a length is drawn: from one end to the other, and the way its end moves when the number grows. */
interface Drawn {
  view: Mark['view'];
  from: number;
  to: number;
  grows?: 1 | -1;
}

/** A height on a drawing, at a place across: from a level down or up to a spot. */
export const heightMark = (
  key: NumberKey | null,
  label: string,
  { view, across, from, to, grows = -1 }: Drawn & { across: number },
): Mark => ({
  key,
  label: sided(label, from, to),
  view,
  at: [across, from],
  to: [across, to],
  grows: [0, grows],
});

/** A width on a drawing, at an elevation. */
export const widthMark = (key: NumberKey | null, label: string, { view, z, from, to, grows = 1 }: Drawn & { z: number }): Mark => ({
  key,
  label,
  view,
  at: [from, z],
  to: [to, z],
  grows: [grows, 0],
});

/** The number that a mark shows, m: negative when its end lies the other way. */
export const drawnLength = ({ at, to, grows }: Pick<Mark, 'at' | 'to' | 'grows'>): number =>
  (to[0] - at[0]) * grows[0] + (to[1] - at[1]) * grows[1];
