import { countsForLine, countsWoundOn, shownReading } from '../../counter/counter';
import { ERRORS } from '../../measurement/errors';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import type { Known } from '../../provenance/source';
import { turnsWindingOn } from '../../spool/turns';
import { stretchOf, type LoadedLine } from '../../spool/loadedLine';
import { colouredLengthsM } from '../../load/colours';
import { counterOf, knownCounter } from './counterOf';
import type { LoadSegmentRecord, RigRecord } from '../../record/record';

/** A colour change on the way: what the counter ought to show, and what it did. */
export interface ColourCheck {
  readonly coloursOn: number;
  /** The colour that has just gone on, and the one that follows. */
  readonly colour: string;
  readonly nextColour: string;
  readonly expectedReading: number;
  readonly expectedCounts: number;
  readonly expectedPlusMinus: number;
  readonly readReading: number | null;
  /** Counter's constant that the reading stands for ÷ the one that was taken; null until it is read. */
  readonly constantFactor: number | null;
}

/** SD of a colour change against its ten yards, as a share (from memory). */
const COLOUR_LENGTH_RELATIVE_SD = 0.008;

/**
 * The colour changes of a segment that is being wound, as a ruler for the counter: the true length at each is known.
 *
 * @param record the rig
 * @param segment the lead core as it was or is planned
 * @param line the spool with that segment on it
 */
export function colourChecks(
  record: RigRecord,
  segment: Pick<LoadSegmentRecord, 'segmentId' | 'colours' | 'colourLengthM'>,
  line: LoadedLine,
): readonly ColourCheck[] {
  const counter = counterOf(record);
  const constant = knownCounter(record)?.lengthPerTurnM;
  const wound = line.segments.find((candidate) => candidate.id === segment.segmentId);
  if (!counter || !constant || !wound) return [];
  const colours = colouredLengthsM(segment.colours, wound.lengthM, segment.colourLengthM);
  return colours.slice(0, -1).map((each, index): ColourCheck => {
    const { areaM2 } = wound;
    const turns = stretchOf(wound) * turnsWindingOn(each.toM, wound.innerDiameterM, areaM2, line.spool.widthM);
    const counts = countsForLine({ turns, lengthM: each.toM }, counter);
    const read = record.load?.colourReadings.findLast(
      (reading) => reading.segmentId === segment.segmentId && reading.coloursOn === index + 1,
    );
    const readCounts = read ? countsWoundOn(read.reading, counter, counts) : null;
    const relativeSd = Math.hypot(constant.sd / constant.value, COLOUR_LENGTH_RELATIVE_SD);
    return {
      coloursOn: index + 1,
      colour: each.colour,
      nextColour: colours[index + 1]?.colour ?? '',
      expectedReading: shownReading(-counts, counter),
      expectedCounts: counts,
      expectedPlusMinus: PLUS_MINUS_SDS * Math.hypot(counts * relativeSd, ERRORS.lookCounts.sd),
      readReading: read?.reading ?? null,
      constantFactor: readCounts === null ? null : readCounts / counts,
    };
  });
}

/** How far the diameter under lead core may be off, as a share: it goes into what a colour change says. */
const DIAMETER_RELATIVE_SD = 0.01;

/**
 * The counter's constant after colour changes were noted: what was known, and every change weighted by what its length,
 * the diameter under it and a whole count leave open. The changes share the diameter's error, so it comes off once only.
 *
 * @returns null without a counter or a noted change
 */
export function constantFromColours(record: RigRecord, checks: readonly ColourCheck[]): Known | null {
  const known = knownCounter(record)?.lengthPerTurnM;
  const noted = checks.flatMap((check) =>
    check.constantFactor === null ? [] : [{ ...check, factor: check.constantFactor }],
  );
  if (!known || noted.length === 0) return null;
  const weights = noted.map(
    ({ expectedCounts }) => Math.hypot(COLOUR_LENGTH_RELATIVE_SD, ERRORS.lookCounts.sd / expectedCounts) ** -2,
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const factor = noted.reduce((sum, check, index) => sum + check.factor * (weights[index] ?? 0), 0) / total;
  const seen = Math.hypot(total ** -0.5, DIAMETER_RELATIVE_SD) ** -2;
  const before = (known.sd / known.value) ** -2;
  const posterior = (seen * factor + before) / (seen + before);
  const value = known.value * posterior;
  return { value, sd: value * (seen + before) ** -0.5, source: 'measured' };
}
