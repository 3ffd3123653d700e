import { countsWoundOn, shownReading } from '../counter/counter';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { turnsPayingOut } from '../spool/turns';
import type { LoadedLine } from '../spool/loadedLine';
import { colouredLengthsM } from '../load/colours';
import { counterOf, knownCounter } from './counterOf';
import type { LoadSegmentRecord, RigRecord } from './record';

/** A colour change on the way: what the counter ought to show, and what it did. */
export interface ColourCheck {
  readonly coloursOn: number;
  /** The colour that has just gone on, and the one that follows. */
  readonly colour: string;
  readonly nextColour: string;
  readonly expectedReading: number;
  readonly expectedPlusMinus: number;
  readonly readReading: number | null;
  /** Counter's constant that the reading stands for ÷ the one that was taken; null until it is read. */
  readonly constantFactor: number | null;
}

/** SD of a colour change against its ten yards, as a share (from memory). */
const COLOUR_LENGTH_RELATIVE_SD = 0.008;
const LOOK_SD_COUNTS = 1;

/**
 * The colour changes of a segment that is being wound, as a ruler for the counter: the true length at each is known.
 *
 * @param record the rig
 * @param segment the lead core as it was planned
 * @param line the spool with that segment on it
 */
export function colourChecks(record: RigRecord, segment: LoadSegmentRecord, line: LoadedLine): readonly ColourCheck[] {
  const counter = counterOf(record);
  const constant = knownCounter(record)?.lengthPerTurnM;
  const wound = line.segments.find((candidate) => candidate.id === segment.segmentId);
  if (!counter || !constant || !wound) return [];
  const colours = colouredLengthsM(segment.colours, wound.lengthM);
  return colours.slice(0, -1).map((each, index): ColourCheck => {
    const { areaM2 } = wound;
    const outerM = Math.sqrt(wound.innerDiameterM ** 2 + (4 * areaM2 * each.toM) / (Math.PI * line.spool.widthM));
    const counts =
      (turnsPayingOut(each.toM, outerM, areaM2, line.spool.widthM) * counter.lengthPerTurnM) / counter.unitM;
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
      expectedPlusMinus: PLUS_MINUS_SDS * Math.hypot(counts * relativeSd, LOOK_SD_COUNTS),
      readReading: read?.reading ?? null,
      constantFactor: readCounts === null ? null : readCounts / counts,
    };
  });
}
