import type { PageLoad } from './$types';

const MOST = 999_999;

/** The seed of an address: the same colonies for whoever opens the link. */
export const load: PageLoad = ({ url }) => {
  const seed = Number(url.searchParams.get('seed'));
  return { seed: Number.isInteger(seed) && seed > 0 && seed <= MOST ? seed : 1 };
};
