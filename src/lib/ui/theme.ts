/** The theme of a page: the one that was chosen, or dark in the field while the sun is down. */
export function themeOf(chosen: string | undefined, sunIsDown: boolean, path: string): 'firstlight' | 'headlamp' {
  if (chosen === 'headlamp' || chosen === 'firstlight') return chosen;
  return sunIsDown && /^\/(check|field)/.test(path) ? 'headlamp' : 'firstlight';
}
