import { setTypeOf } from '#core/sets/catalogue';
import type { SetView } from '#core/sets/standing';
import type { Lesson } from '#core/trainer/lived';
import { dayOf, type Stranger } from '#core/trainer/stranger';

/** The sets of a lesson as the section draws those of the record. */
export function asViews(pond: Stranger, lesson: Lesson): SetView[] {
  const at = dayOf(lesson.day).toISOString();
  return lesson.sets
    .filter((s) => !s.pulled)
    .flatMap(({ build, design, then }, n): SetView[] => {
      const station = pond.stations.find((s) => s.id === build.station);
      if (!station) return [];
      const { name } = setTypeOf(build.type);
      return [
        {
          ...{ id: build.id, number: n + 1, name: station.name, type: build.type, typeName: name, species: 'beaver', state: 'live' },
          ...{ opens: null, leftBecause: '', anchor: build.anchor, station, then, follows: null, iceFactor: 1, layout: design },
          devices: Object.entries(build.traps).map(([position, tag]) => ({
            ...{
              stay: `${build.id}.${position}`,
              position,
              label: position,
              device: tag,
              tag,
              since: at,
              lastLook: at,
              spent: null,
              missed: null,
            },
            class: pond.traps.find((t) => t.id === tag)?.class ?? 'bodyGrip',
            size: pond.traps.find((t) => t.id === tag)?.size ?? '',
          })),
          ...{ every: { kind: 'calendarDay', days: 1 }, deadline: null, missed: null, lastLook: null },
        },
      ];
    });
}
