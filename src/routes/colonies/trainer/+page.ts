import { LEVELS, type Level } from '#core/trainer/lessons';
import type { PageLoad } from './$types';

const MOST = 999_999;

/** The pond of a link: the same for whoever opens it. */
export const load: PageLoad = ({ url }) => {
  const seed = Number(url.searchParams.get('seed'));
  const level = LEVELS.find((l) => l === url.searchParams.get('level')) ?? ('first' satisfies Level);
  return { seed: Number.isInteger(seed) && seed > 0 && seed <= MOST ? seed : 1, level };
};
