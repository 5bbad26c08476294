import { localDate } from '#core/time/localTime';
import { friendSays, quietRun } from './quietRun';
import { SETS } from './scenario';
import type { DemoContext } from './scouting';

/** Yesterday's round: who went where, the word that was left at home and taken back in time; and what was asked of the quiet run. */
export function addLastRound({ add, at, make, idOf, zone }: DemoContext): void {
  const wren = idOf('wren');
  const shared = at(1, '06:50');
  const live = SETS.filter((s) => s.state === 'live');
  const stopsOf = (isEast: boolean): string[] => live.filter((s) => s.number < 40 === isEast).map((s) => idOf(s.key));
  add(
    'share',
    {
      ...{ id: make(shared), line: idOf('line'), day: localDate(shared, zone) },
      parts: [
        { person: wren, stops: stopsOf(true) },
        { person: idOf('corin'), stops: stopsOf(false) },
      ],
      note: 'Corin has the chisel',
    },
    shared,
    wren,
  );
  const [went, home] = [at(1, '07:05'), at(1, '11:40')];
  const word = {
    id: make(went),
    line: idOf('line'),
    who: 'Wren Ostby',
    where: 'Truck to the sorting shed, on foot along the dike to the lodge and back',
    at: went.toISOString(),
    backBy: at(1, '13:00').toISOString(),
    home: 'the feed shed',
    then: 'Call Corin, then come along the dike',
  };
  const left = add('leftWord', { ...word, back: null }, went, wren);
  add('leftWord', { ...word, back: home.toISOString() }, home, wren, left);
  const asked = at(6, '18:30');
  const answered = at(2, '19:40');
  add('reply', { id: make(answered), set: idOf('s15'), ...friendSays(answered) }, answered, wren);
  add('interview', { id: make(asked), set: idOf('s15'), ...quietRun(asked, zone) }, asked, wren);
}
