import { median } from '../numerics/median';
import { MEASUREMENT_KINDS, USUAL_MINUTES, type Measurement, type MeasurementKind } from './measurement';

/** How long one kind of measurement takes, and who says so. */
export interface KnownMinutes {
  readonly kind: MeasurementKind;
  readonly minutes: number;
  readonly from: 'said' | 'log';
}

/** Times from which a crew's own median is believed. */
const TIMES_FOR_OWN = 3;
/** Nothing is measured in less (min): a time of nothing would make every gain endless. */
const LEAST_MINUTES = 0.25;

/**
 * How long measurements take a crew: as they say, else the median of their own times, from three on.
 *
 * @param said minutes by kind
 * @param taken times of their own (s)
 */
export function knownMinutes(
  said: Readonly<Partial<Record<string, number>>>,
  taken: readonly { readonly kind: MeasurementKind; readonly seconds: number }[],
): readonly KnownMinutes[] {
  return MEASUREMENT_KINDS.flatMap((kind): KnownMinutes[] => {
    const saidMinutes = said[kind];
    if (saidMinutes !== undefined) return [{ kind, minutes: Math.max(saidMinutes, LEAST_MINUTES), from: 'said' }];
    const own = taken.filter((each) => each.kind === kind).map(({ seconds }) => seconds / 60);
    return own.length < TIMES_FOR_OWN ? [] : [{ kind, minutes: Math.max(median(own), LEAST_MINUTES), from: 'log' }];
  });
}

/** How many minutes a measurement takes a crew: as they are known, else as long as is usual. */
export const minutesFor =
  (known: readonly KnownMinutes[]) =>
  ({ kind }: Pick<Measurement, 'kind'>): number =>
    known.find((each) => each.kind === kind)?.minutes ?? USUAL_MINUTES[kind];
