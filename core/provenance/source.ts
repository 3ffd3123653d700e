/**
 * Where a figure comes from. A default is shown as a default and a guess as a guess.
 * - default: this product's own starting value
 * - label: printed on the box or spool
 * - maker: the maker's statement
 * - measured: by tape, caliper, scale or pull
 * - learned: derived from earlier measurements of the same thing
 */
export type Source = 'default' | 'label' | 'maker' | 'measured' | 'learned';

/** A figure with the standard deviation of its error and its source. */
export interface Known {
  readonly value: number;
  readonly sd: number;
  readonly source: Source;
}
