import { LETTER_WIDTHS } from './letterWidths';

/** Width of a text in the shipped font, in the unit of `size`. A letter that is not in the table counts as a wide one. */
export const textWidth = (text: string, size: number): number =>
  [...text].reduce((sum, letter) => sum + (LETTER_WIDTHS[letter] ?? 0.65), 0) * size;

export interface Label {
  text: string;
  /** where its middle wants to be */
  at: number;
}

export interface PlacedLabel extends Label {
  /** middle, after it was kept inside the drawing */
  middle: number;
  width: number;
  row: number;
}

/**
 * Places labels over the points they belong to, in as few rows as hold them without overlap; each keeps inside the drawing.
 *
 * @param size font size, px
 * @param span left and right end of the drawing, px
 * @param gap clear space between two labels of a row, px
 * @returns the labels in the order they were given; rows count from 0
 */
export function placeLabels(labels: Label[], size: number, span: { from: number; to: number }, gap = 12): PlacedLabel[] {
  const ends: number[] = [];
  const placed = new Map<number, PlacedLabel>();
  const order = labels.map((label, i) => ({ label, i })).sort((a, b) => a.label.at - b.label.at);
  for (const { label, i } of order) {
    const width = textWidth(label.text, size);
    const middle = Math.min(Math.max(label.at, span.from + width / 2), span.to - width / 2);
    let row = ends.findIndex((end) => middle - width / 2 >= end + gap);
    if (row === -1) row = ends.length;
    ends[row] = middle + width / 2;
    placed.set(i, { ...label, middle, width, row });
  }
  return labels.map((label, i) => placed.get(i) ?? { ...label, middle: label.at, width: 0, row: 0 });
}

/** Shortens a text so that it fits a width, with an ellipsis. */
export function fitted(text: string, size: number, width: number): string {
  if (textWidth(text, size) <= width) return text;
  let kept = text;
  while (kept.length > 1 && textWidth(`${kept}…`, size) > width) kept = kept.slice(0, -1).trimEnd();
  return `${kept}…`;
}

/** Of marks along a line, each with its word right of it, those that have room for it. @param width px to which words may reach */
export function spaced<T extends { x: number; text: string }>(marks: readonly T[], width: number, size = 11.5): T[] {
  let free = 0;
  return marks.filter(({ x, text }) => {
    const end = x + 3 + textWidth(text, size);
    if (x < free || end > width) return false;
    free = end + 8;
    return true;
  });
}

/** Places along a line pushed right, and at its end left again, until each has its room; px. @param xs rising */
export function apart(xs: readonly number[], wide: number, end: number): number[] {
  const found = [...xs];
  for (let n = 1; n < found.length; n += 1) found[n] = Math.max(found[n] ?? 0, (found[n - 1] ?? 0) + wide);
  let free = end;
  for (let n = found.length - 1; n >= 0; n -= 1) {
    found[n] = Math.min(found[n] ?? 0, free);
    free = (found[n] ?? 0) - wide;
  }
  return found;
}
