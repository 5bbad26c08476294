import { error } from '@sveltejs/kit';
import { SPECIES } from '#core/animals/species';
import { loadGuide } from '$lib/server/guide';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const species = SPECIES.find((s) => s === url.searchParams.get('species')) ?? 'beaver';
  const guide = await loadGuide(locals, params.water, species, url.searchParams.get('station'));
  if (!guide) error(404, 'There is no such water in this record.');
  return { guide, animals: SPECIES.filter((s) => s !== 'other') };
};
