import type { System } from '../units/factors';
import { printLength, printLevel } from '../units/length';
import { rainText, tempText } from '../units/weather';
import { printForce, printWeight } from '../units/weight';

/** How figures are written for a reader. Lengths m, forces N, weights kg, shares 0 to 1. */
export interface Say {
  system: System;
  length: (metres: number) => string;
  /** a length that is never told in feet, as gauge boards are read */
  level: (metres: number) => string;
  force: (newtons: number) => string;
  weight: (kilograms: number) => string;
  percent: (share: number) => string;
  temperature: (celsius: number) => string;
  rain: (mm: number) => string;
}

export const sayFor = (system: System): Say => ({
  system,
  length: (m) => printLength(m, system),
  level: (m) => printLevel(m, system),
  force: (n) => printForce(n, system),
  weight: (kg) => printWeight(kg, system),
  percent: (share) => `${Math.round(share * 100)}%`,
  temperature: (celsius) => tempText(celsius, system),
  rain: (mm) => rainText(mm, system),
});

export const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** What a finding says, apart from what it found. `V` is what it is told with, in SI. */
export interface Words<V> {
  /** the subject, two or three words */
  about: string | ((values: V) => string);
  /** the one figure it turns on */
  figure: (values: V, say: Say) => string;
  sentence: (values: V, say: Say) => string;
}

export const words = <V>(own: Words<V>): Words<V> => own;
