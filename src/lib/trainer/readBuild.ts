import { armingCheck, notArmedSentence, unanswered } from '#core/sets/arming';
import { againstLive } from '#core/sets/fit';
import type { FilledPosition, SetType } from '#core/sets/setType';
import { designOfBuild, type Build, type Lesson } from '#core/trainer/lived';
import type { Stranger } from '#core/trainer/stranger';
import { tell } from '#core/words/finding';
import { reader, type Typed } from '#lib/form/reader';
import { readNumbers } from '#lib/bench/readBench';
import type { Who } from '#lib/season/who';

/** What was refused, at its field; what was typed is kept. */
export interface Refused {
  errors: Record<string, string>;
  values: Typed;
}

/** Reads a set as it was built for a lesson: the same questions and refusals as at the bench of the record. */
export function readBuild(
  form: FormData,
  who: Who,
  at: { pond: Stranger; lesson: Lesson; station: string; type: SetType; id: string },
): Build | Refused {
  const { pond, lesson, station, type, id } = at;
  const read = reader(form, who);
  const { numbers, choices } = readNumbers(read, type);
  const traps = Object.fromEntries(
    type.positions.flatMap((p) => {
      const found = pond.traps.find((t) => t.id === read.text(`d.${p.id}`));
      return found ? [[p.id, found.id]] : [];
    }),
  );
  if (Object.keys(traps).length === 0) read.refuse('d', `${type.positions[0]?.label ?? 'Trap'}: choose a trap by its tag.`);
  if (new Set(Object.values(traps)).size < Object.keys(traps).length) read.refuse('d', 'One trap is chosen twice.');
  if (read.text('anchor') === '') read.refuse('anchor', 'Say what it is tied to, and where.');
  const devices: Record<string, FilledPosition> = Object.fromEntries(
    Object.entries(traps).flatMap(([position, tag]) => {
      const own = pond.traps.find((t) => t.id === tag);
      return own ? [[position, { class: own.class, size: own.size }]] : [];
    }),
  );
  const open = armingCheck(type, devices, choices).length > 0 ? unanswered(type, devices, choices, read.many('arm')) : [];
  if (open.length > 0) read.refuse('arm', notArmedSentence(open));
  const build: Build = { id, station, type: type.id, numbers, choices, traps, anchor: read.text('anchor') };
  if (read.ok()) refuseWhatCannotStand(read.refuse, build, { pond, lesson, type });
  return read.ok() ? build : { errors: read.errors, values: read.values };
}

function refuseWhatCannotStand(
  refuse: (name: string, sentence: string) => void,
  build: Build,
  { pond, lesson, type }: { pond: Stranger; lesson: Lesson; type: SetType },
): void {
  const { design } = designOfBuild(pond, build, lesson.levels);
  for (const finding of againstLive(design, lesson.levels, 'us').impossible) {
    const field = finding.field && finding.field in type.choices ? `c.${finding.field}` : `n.${finding.field ?? ''}`;
    refuse(field, `${tell(finding, 'us').sentence} It cannot stand so: change it.`);
  }
}

export const isBuild = (read: Build | Refused): read is Build => 'station' in read;
