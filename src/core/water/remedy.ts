/** A change that brings a set back, or keeps it working. */
export interface Remedy {
  /** the order alone, without an end mark: `Lower the bed 10 in`; empty when nothing is to be changed */
  order: string;
  /** what it brings, or why nothing better helps, as a sentence */
  then: string;
  /** metres it moves the device up, down when negative */
  by: number;
}

export const NO_REMEDY: Remedy = { order: '', then: '', by: 0 };

/** The order and what it brings, as one text. */
export const remedySays = ({ order, then }: Remedy): string => (order === '' ? '' : `${order}. ${then}`.trim());
