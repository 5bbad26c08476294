import { changesOf, changesText } from '#core/record/changes';
import { clockOf, whenText } from '#core/time/clock';
import { now } from './clock';
import { db } from './database';
import { namesOf } from './names';
import type { Stale } from './record/refusal';
import { currentLine } from './repositories/sets';
import type { Who } from '#lib/season/who';

/** Who changed a thing under an open form, when and what, for the one whose form it was. */
export async function staleText({ kind, was, is, latest }: Stale, { crew, person }: Who): Promise<string> {
  const [line, names] = await Promise.all([currentLine(db(), crew), namesOf(crew)]);
  const clock = clockOf(person, line?.zone ?? 'UTC');
  const who = (latest.by && names.all[latest.by]) ?? 'Someone';
  const changes = changesOf(kind, was, is, person.system, clock);
  const what = changes.length > 0 ? changesText(changes, names.all) : 'nothing that shows in a form.';
  return `${who} changed this ${whenText(latest.recorded_at, now(), clock)}: ${what} Your values are still here.`;
}
