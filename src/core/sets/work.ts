import type { DeviceClass } from '../devices/sizes';
import type { ChoiceKey } from './keys';

/** One thing that is done, in the order of hands. */
export interface Step {
  do: string;
  caution?: string;
  /** the last touch: safety hooks off, dog and pan, loop, trigger; once in an order */
  lastReach?: boolean;
  /** done when the place is first made, not again at a remake */
  once?: boolean;
}

/** The work of a set from bare ground to live; `when` says for which depth, where it decides and is not known. */
export interface Order {
  when: string;
  steps: Step[];
}

/** What of a set decides in which order hands work. */
export interface AtWork {
  device: DeviceClass;
  size: string;
  choices: Partial<Record<ChoiceKey, string>>;
  /** the top of the jaws under the surface as it is set, m; negative when it stands proud; null where nobody measured */
  under: number | null;
  springsUp: boolean;
  /** sticks close the sides */
  fenced: boolean;
}
