/** Exact factors. @source NIST SP 811: inch and pound are defined by these numbers. */
export const INCH = 0.0254;
export const FOOT = 12 * INCH;
export const POUND = 0.45359237;
export const OUNCE = POUND / 16;

/** Inches to metres. */
export const inches = (n: number): number => n * INCH;
/** Feet to metres. */
export const feet = (n: number): number => n * FOOT;

/** The two systems a person can choose; everything inside is SI. */
export type System = 'us' | 'metric';
