import { CLEAR } from '#core/record/colony';
import type { DemoContext } from './scouting';

/** Three families of beavers: one that learned, one nearly done, one that is not home. */
const COLONIES: { key: string; name: string; water: string; first: { low: number; high: number } | null; why: string; note: string }[] = [
  {
    ...{ key: 'header family', name: 'Header families', water: 'header' },
    ...{ first: { low: 14, high: 20 }, why: 'two families share the pond; counted at dusk from the dike in October' },
    note: 'Came up from the ditch after the flood two springs ago',
  },
  {
    ...{ key: 'race family', name: 'Race pair and young', water: 'race' },
    ...{ first: { low: 4, high: 4 }, why: 'the hatchery hands saw two large and two small ones all summer' },
    note: '',
  },
  {
    ...{ key: 'upper lodge', name: 'Upper lodge', water: 'upper' },
    first: null,
    why: '',
    note: 'High and steep, mud on it from last autumn',
  },
];

export function addColonies({ add, at, idOf }: DemoContext): void {
  const when = at(19, '18:20');
  for (const { key, water, ...own } of COLONIES)
    add(
      'colony',
      { id: idOf(key), ...own, species: 'beaver', waters: [idOf(water)], stations: [], clear: CLEAR, beliefs: [], likely: [], done: null },
      when,
    );
}
