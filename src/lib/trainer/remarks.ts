import { critique } from '#core/critique/critique';
import { SEVERITIES, type Severity } from '#core/critique/rule';
import { weighed } from '#core/critique/weigh';
import { setTypeOf } from '#core/sets/catalogue';
import { designOfBuild, type LaidSet, type Lesson } from '#core/trainer/lived';
import type { Stranger } from '#core/trainer/stranger';
import type { System } from '#core/units/factors';
import { remarkText } from '#core/words/critique';
import { tell } from '#core/words/finding';
import { aroundOf } from './bench';

/** So heavy a remark is worth a word once all is over. */
const TOLD: readonly Severity[] = SEVERITIES.slice(0, SEVERITIES.indexOf('could be better'));

/** What an old hand would have said of a set as it was built, and what its own design said. */
export function remarksOn(
  pond: Stranger,
  lesson: Lesson,
  { build, design, then }: LaidSet,
  system: System,
): { about: string; sentence: string }[] {
  const station = pond.stations.find((s) => s.id === build.station);
  if (!station) return [];
  const { laid } = designOfBuild(pond, build, then);
  const said = critique({
    ...{ type: setTypeOf(build.type), species: 'beaver', state: 'live', numbers: build.numbers, choices: build.choices },
    ...{ devices: laid.devices, design, then, surface: station.surface, anchor: build.anchor, around: aroundOf(pond, lesson, station) },
  });
  return [
    ...design.findings.filter((f) => TOLD.includes(weighed(f) ?? 'could be better')).map((f) => tell(f, system)),
    ...said.filter((r) => TOLD.includes(r.severity)).map((r) => remarkText(r, system)),
  ].map(({ about, sentence }) => ({ about, sentence }));
}
