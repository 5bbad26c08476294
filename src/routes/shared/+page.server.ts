import { sharedWaters } from '$lib/server/shared';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({ waters: await sharedWaters(locals), role: locals.role });
