import { because, type Reason } from '../reasons';

/** What a pen stroke across spool and line says after a pull. */
export interface SlipVerdict {
  readonly verdict: 'holds' | 'bedding' | 'slips';
  readonly why: Reason;
}

/** Shift that the eye cannot tell from none, and one that packing alone explains (common practice, no source). */
const HELD_M = 0.001;
const BEDDING_M = 0.005;

/**
 * Reads the shift between the mark on the spool and the mark on the line.
 *
 * @param movedM how far the two have parted along the arbor's rim (m), at least 0
 */
export function readSlip(movedM: number): SlipVerdict {
  if (!(movedM >= 0)) throw new RangeError('readSlip: movedM must be at least 0');
  if (movedM <= HELD_M) return { verdict: 'holds', why: because('slip-holds') };
  if (movedM <= BEDDING_M) {
    return { verdict: 'bedding', why: because('slip-bedding', { uptoM: BEDDING_M }) };
  }
  return { verdict: 'slips', why: because('slip-slips') };
}
