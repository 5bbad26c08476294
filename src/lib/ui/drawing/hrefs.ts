import type { SectionSet } from '#core/scene/sectionSets';

/** Where the names of a section lead. */
export interface Hrefs {
  place: (id: string) => string;
  set: (id: string, shape: SectionSet['shape']) => string;
}

/** The pages of the record: a place of its water, a live set to its check, another to the bench. */
export const hrefsOf = (water: () => string): Hrefs => ({
  place: (id) => `/waters/${water()}/${id}`,
  set: (id, shape) => `/${shape === 'live' ? 'check' : 'bench'}/${id}`,
});
