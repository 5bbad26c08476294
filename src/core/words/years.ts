import type { Intent } from '../record/kinds';
import type { SetYear } from '../ledger/years';
import { many } from '../units/many';
import { capital } from './say';

/** What a set gave: `3 beaver and 1 muskrat in 14 looks, 2 met it and got away`. */
export function gaveText({ looks, caught, met }: Pick<SetYear, 'looks' | 'caught' | 'met'>): string {
  if (looks === 0) return 'Never looked at.';
  const animals = Object.entries(caught).map(([species, n]) => `${n} ${species}`);
  const got = animals.length === 0 ? 'nothing' : animals.join(' and ');
  const missed = met > 0 ? `, ${many(met, 'time')} met and not caught` : '';
  return `${capital(got)} in ${many(looks, 'look')}${missed}.`;
}

/** What was meant for a place and never stood there: `Season 2: left unset, too many dogs.` */
export function meantText({ season, doing, type, because }: Pick<Intent, 'doing' | 'type' | 'because'> & { season: string }): string {
  const why = because ? `, ${because.replace(/\.$/, '')}` : '';
  return `Season ${season}: ${doing === 'left' ? 'left unset' : `${type}, ${doing}`}${why}.`;
}
