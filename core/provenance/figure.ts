import type { Reason } from '../reasons';

/** A derived figure with its ± (half of a 95 % interval) and the input that contributes most to it. */
export interface Figure {
  readonly value: number;
  readonly plusMinus: number;
  readonly mainlyFrom: Reason | null;
}
