import { rule, type Rule } from './rule';

/** What the forecast brings before somebody is there again. */
export const AHEAD: Rule[] = [
  rule('idleAhead', 'will fail', ({ around }) => (around.idleAhead ? { values: { said: around.idleAhead } } : null)),
  rule('cutOff', 'likely to fail', ({ around }) => (around.cutOff ? { values: { said: around.cutOff } } : null)),
  rule('noPhoto', 'could be better', ({ around, state }) => (state === 'live' && !around.hasPhoto ? { values: {} } : null)),
];
