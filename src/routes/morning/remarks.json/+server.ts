import { json } from '@sveltejs/kit';
import { lineRemarks } from '$lib/server/around';
import type { RequestHandler } from './$types';

/** The three that matter most on the line: asked for by Rounds when somebody wants to hear them, so that the page itself does not wait. */
export const GET: RequestHandler = async ({ locals }) => json(await lineRemarks(locals));
