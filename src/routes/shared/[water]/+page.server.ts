import { error } from '@sveltejs/kit';
import { sharedWater } from '$lib/server/shared';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const report = await sharedWater(locals, params.water);
  if (!report) error(404, 'There is no such page.');
  return { report };
};
