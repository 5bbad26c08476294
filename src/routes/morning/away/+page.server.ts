import { MOST_AWAY, whileAway } from '#core/run/away';
import { momentText, wallSaid, whenText } from '#core/time/clock';
import { instantOf, addDays, localDate, readLocalTime, toField } from '#core/time/localTime';
import { agree, many } from '#core/units/many';
import { paperRows } from '$lib/server/paper';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

/** Days on which nobody can come: asked for by their two ends, tomorrow evening to the third morning after it where nobody said. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  const { now } = locals;
  if (!season) return { line: null, nowAt: now.getTime(), from: '', to: '', problem: '', field: '', groups: [], said: '', before: '' };
  const { line, clock } = season;
  const today = localDate(now, line.zone);
  const typed = (name: string, days: number, time: string): string =>
    url.searchParams.get(name)?.trim() || toField(instantOf(addDays(today, days), time, line.zone), line.zone);
  const read = (name: string, text: string) => readLocalTime(text, line.zone, url.searchParams.get(`${name}.which`), wallSaid(clock.hours));
  const [from, to] = [typed('from', 1, '17:00'), typed('to', 4, '07:00')];
  const [leaving, back] = [read('from', from), read('to', to)];
  const nowAt = now.getTime();
  const asked = { line: line.name, nowAt, from, to, groups: [], said: '', before: '' };
  if (!leaving.ok) return { ...asked, field: 'from', problem: leaving.sentence };
  if (!back.ok) return { ...asked, field: 'to', problem: back.sentence };
  if (leaving.at < now) return { ...asked, field: 'from', problem: 'That is past already. Say when the last looks are made.' };
  if (back.at <= leaving.at) return { ...asked, field: 'to', problem: 'The day back lies after the day you leave.' };
  if (back.at.getTime() - leaving.at.getTime() > MOST_AWAY * 86_400_000)
    return { ...asked, field: 'to', problem: `At most ${MOST_AWAY} days are worked out: a line left longer is pulled.` };

  const found = whileAway(
    season.views
      .filter((v) => v.state === 'live')
      .map((v) => ({ id: v.id, every: v.every, deadline: v.deadline ? new Date(v.deadline) : null })),
    { leaving: leaving.at, back: back.at, zone: line.zone, place: line },
  );
  const waters = paperRows(season, locals);
  const rows = Object.fromEntries(waters.flatMap((w) => w.rows.map((r) => [r.id, { ...r, water: w.name }])));
  const shown = found.flatMap((f) => {
    const row = rows[f.id];
    if (!row) return [];
    return [
      {
        ...{ id: f.id, label: row.label, water: row.water, tie: row.tie, hole: row.hole, order: row.order },
        traps: row.traps.map((t) => t.label).join(', '),
        stays: f.stays,
        due: whenText(f.due, now, clock),
        checks: f.checks.length,
      },
    ];
  });
  const early = found.flatMap((f) => f.owedBefore ?? []).sort((a, b) => a.getTime() - b.getTime());
  const gone = shown.filter((s) => !s.stays);
  return {
    line: line.name,
    nowAt,
    ...{ from, to, problem: '', field: '' },
    before: early[0]
      ? `${many(early.length, 'check')} ${agree(early.length, 'falls', 'fall')} due before that, the first ${whenText(early[0], now, clock)}.`
      : '',
    said: `${momentText(leaving.at, clock)} to ${momentText(back.at, clock)}`,
    groups: [
      { name: 'Pulled before you leave, or taken over', sets: gone, out: true },
      { name: 'Can stand until you are back, looked at before you leave', sets: shown.filter((s) => s.stays), out: false },
    ].filter((g) => g.sets.length > 0),
  };
};
