import { movingOf } from '#core/ahead/moving';
import { roundRow } from '#lib/season/rounds';
import type { Season } from '#lib/season/season';

/** The live sets of a line as they stand on paper: by water, the first deadline first; a row a trap. */
export function paperRows(season: Season, locals: App.Locals) {
  const moving = movingOf(season, locals.now);
  const rows = season.views
    .filter((v) => v.state === 'live')
    .map((view) => {
      const { id, name, number, water, by, deadline, order, devices } = roundRow(season, view, moving, locals);
      const set = season.sets.find((s) => s.id === id);
      return {
        ...{ id, water, by, deadline, order, devices, label: `${number} ${name}` },
        tie: set?.anchor ?? '',
        hole: set?.hole ?? '',
        traps: view.devices.map((d) => ({
          stay: d.stay,
          tag: d.tag,
          label: view.devices.length > 1 ? `${d.label.toLowerCase()} ${d.tag}` : d.tag,
        })),
      };
    })
    .sort((a, b) => a.deadline.localeCompare(b.deadline));
  return season.waters
    .map((w) => ({ id: w.id, name: w.name, rows: rows.filter((r) => r.water === w.id) }))
    .filter((w) => w.rows.length > 0)
    .sort((a, b) => (a.rows[0]?.deadline ?? '').localeCompare(b.rows[0]?.deadline ?? ''));
}
