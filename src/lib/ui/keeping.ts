import type { SubmitFunction } from '@sveltejs/kit';
import { waiting } from './waiting.svelte';

/** For `use:enhance`: after an answer the form keeps what was typed; until then the page says that it waits. */
export const keeping: SubmitFunction = () => {
  waiting.forms += 1;
  return async ({ update }) => {
    waiting.forms -= 1;
    await update({ reset: false });
  };
};
