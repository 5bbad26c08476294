import type { Species } from '../animals/species';
import type { Colony } from '../record/kinds';
import type { Written } from '../record/written';

/** A colony, or a water of which nobody named one: its name, and the places that are its own. */
export interface Scope {
  /** of the colony; of the water where none was named */
  id: string;
  name: string;
  species: Species;
  waters: readonly string[];
  places: ReadonlySet<string>;
  /** null: nobody named it yet, it is taken as one family of beavers */
  colony: Written<Colony> | null;
}

interface Place {
  id: string;
  water: string;
}

/** The colonies of a line, those that were named first; then every water that no colony of beavers names, as one family. */
export function scopesOf(
  named: readonly Written<Colony>[],
  waters: readonly { id: string; name: string }[],
  places: readonly Place[],
): Scope[] {
  const own = named.map((colony): Scope => {
    const { id, name, species, waters: used, stations } = colony;
    // what another family of the animal has for its own is not shared
    const others = new Set(named.flatMap((c) => (c.id !== id && c.species === species ? c.stations : [])));
    const isOwn = (p: Place): boolean => used.includes(p.water) && (stations.length > 0 ? stations.includes(p.id) : !others.has(p.id));
    return { id, name, species: species as Species, waters: used, places: new Set(places.filter(isOwn).map((p) => p.id)), colony };
  });
  const claimed = new Set(named.flatMap((c) => (c.species === 'beaver' ? c.waters : [])));
  const unnamed = waters
    .filter((w) => !claimed.has(w.id))
    .map((w): Scope => ({
      ...{ id: w.id, name: w.name, species: 'beaver', waters: [w.id], colony: null },
      places: new Set(places.filter((p) => p.water === w.id).map((p) => p.id)),
    }));
  return [...own, ...unnamed];
}
