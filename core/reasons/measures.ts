/**
 * What a parameter of a reason stands for, so that whoever words it can show it in the reader's own units:
 * length, small and hand in m (line, spools and levels, and the centimetres that a hand works with), volume in m³, force in N,
 * share as a fraction, number without a unit; name and names are words that people typed or the names of things; a
 * reason may hold another.
 */
export type Measure =
  'length' | 'small' | 'hand' | 'volume' | 'force' | 'share' | 'number' | 'name' | 'names' | 'reason';

/** The parameters of each kind of reason of one subject. */
export type ReasonTable = Readonly<Record<string, Readonly<Record<string, Measure>>>>;
