import { SPECIES, type Species } from '../animals/species';

/** The animal that most sets of a line are meant for, the first of equals in the order of the list; beaver while there is no set. */
export function mostlyMeant(sets: readonly { species: Species }[]): Species {
  const count = (species: Species): number => sets.filter((set) => set.species === species).length;
  return SPECIES.reduce((most, species) => (count(species) > count(most) ? species : most), 'beaver');
}
