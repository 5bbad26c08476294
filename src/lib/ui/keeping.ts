import type { SubmitFunction } from '@sveltejs/kit';

/** For `use:enhance`: after an answer the form keeps what was typed. */
export const keeping: SubmitFunction =
  () =>
  ({ update }) =>
    update({ reset: false });
