/** Forms that were sent and are not answered yet. */
export const waiting = $state({ forms: 0 });
