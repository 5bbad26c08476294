import { doingAt } from '#core/ahead/doing';
import type { SetOutlook } from '#core/ahead/setOutlook';
import { setTypeOf } from '#core/sets/catalogue';
import type { SetView } from '#core/sets/standing';
import type { DeviceState } from '#core/water/state';

/** What the level means for a live set: its state, the order it wants, the reason behind it. */
export interface SetRow {
  view: SetView;
  state: DeviceState | null;
  verdict: DeviceState['verdict'];
  label: string;
  /** why hands do not reach it, in a few words */
  short: string;
  order: string;
  why: string;
  /** something is to be said of it before it is asked for */
  told: boolean;
}

const RANK: Partial<Record<DeviceState['verdict'], number>> = { perhaps: 1, nearEdge: 2, unknown: 3, fine: 4 };

/** The live sets of a water, what does not work first. @param ahead what the forecast says of a set, by its id @param standing whether the place of a station can be waded, by its id */
export const setRows = (
  rows: readonly { view: SetView; worst: DeviceState | null }[],
  ahead: Readonly<Record<string, SetOutlook | null>>,
  standing: Readonly<Record<string, { sentence: string; short: string }>>,
): SetRow[] =>
  rows
    .filter((r) => r.view.state === 'live')
    .map(({ view, worst }): SetRow => {
      const place = standing[view.station.id];
      const outlook = ahead[view.id] ?? null;
      const doing = doingAt(worst, outlook, setTypeOf(view.type).looks);
      const verdict = worst?.verdict ?? 'unknown';
      const short = place?.short ?? '';
      return {
        ...{ view, state: worst, verdict, label: worst?.label ?? '', short, order: doing.order },
        why: [doing.why, place?.sentence].filter(Boolean).join(' '),
        told: verdict !== 'fine' || (outlook !== null && (outlook.remedy.order !== '' || outlook.tells)) || short !== '',
      };
    })
    .sort((a, b) => (RANK[a.verdict] ?? 0) - (RANK[b.verdict] ?? 0));
