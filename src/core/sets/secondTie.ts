import type { AtWork, Order, Step } from './work';
import { once } from './pieces/steps';
import type { SetType } from './setType';

/** How a second tie is made, whatever the first is: each would have to hold alone. */
const SECOND: Step = once('Second tie: its own cable to an anchor of its own, low, slack taken up; never to the first stake or root.');

/** A second tie is made with what is done once at the place, before anything is armed. */
function tiedTwice({ when, steps }: Order): Order {
  const ready = steps.findIndex((step) => !step.once);
  return { when, steps: steps.toSpliced(Math.max(ready, 1), 0, SECOND) };
}

/** What lies in deep water is a weight or a pole: there is no bank's end to tie twice. */
const NO_BANK_END = ['tangle', 'bag'];

/** Whether somebody ties it to two anchors. */
export const isTiedTwice = ({ second, hold = '' }: AtWork['choices']): boolean => second === 'two' && !NO_BANK_END.includes(hold);

/** The work of a set from bare ground to live, in the order of hands. */
export const ordersOf = (type: Pick<SetType, 'orders'>, at: AtWork): Order[] =>
  isTiedTwice(at.choices) ? type.orders(at).map(tiedTwice) : type.orders(at);
