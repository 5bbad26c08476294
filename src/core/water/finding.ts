import type { Origin } from './need';

/** What bench, water, rules and diagnosis return: a verdict, the sentence with its numbers, and the way out. */
export interface Finding {
  id: string;
  verdict: 'holds' | 'warns' | 'fails' | 'unknown';
  /** the subject, two or three words */
  about: string;
  /** the one figure it turns on, printed */
  figure: string;
  sentence: string;
  origin: Origin;
  /** the number or choice it is about, when it fails: said beside that field too */
  field?: string;
}
