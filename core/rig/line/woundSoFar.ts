import { turnsForCounts } from '../../counter/counter';
import { stretchOf, type LoadedLine } from '../../spool/loadedLine';
import { lengthWoundOnM, turnsWindingOn } from '../../spool/turns';
import { counterOf } from './counterOf';
import type { LoadSegmentRecord, RigRecord } from '../../record/record';

/** How far winding a segment has got. */
export interface WoundSoFar {
  readonly lengthM: number;
  readonly turns: number;
  /** Layers begun of this segment, and in all, by the thickness of its line. */
  readonly layer: number;
  readonly layers: number;
}

/** Height of a layer as a share of the line's thickness: it beds into the one below (from memory). */
const LAYER_SHARE = 0.9;

/**
 * How much of a segment is on by a reading on the way, from zero at its start.
 *
 * @param line the spool with the whole segment on it
 * @param laps how often the counter has passed zero since
 * @returns null without a counter, or for a segment that is not on that line
 */
export function woundSoFar(
  record: RigRecord,
  line: LoadedLine,
  segment: LoadSegmentRecord,
  reading: number,
  laps = 0,
): WoundSoFar | null {
  const counter = counterOf(record);
  const planned = line.segments.find((candidate) => candidate.id === segment.segmentId);
  if (!counter || !planned || (reading === 0 && laps === 0)) return null;
  const wrap = 10 ** counter.digits;
  const counted = turnsForCounts(((wrap - reading) % wrap) + wrap * laps, counter);
  const { innerDiameterM, areaM2 } = planned;
  const stretch = stretchOf(planned);
  const byRoller = counter.drive === 'roller';
  const turns = Math.min(
    byRoller ? stretch * turnsWindingOn(counted, innerDiameterM, areaM2, line.spool.widthM) : counted,
    planned.turns,
  );
  const lengthM = lengthWoundOnM(turns / stretch, innerDiameterM, areaM2, line.spool.widthM);
  const layerM = 2 * LAYER_SHARE * planned.lineDiameterM;
  const upM = (2 * planned.areaM2 * turns) / line.spool.widthM;
  return {
    lengthM,
    turns,
    layer: Math.floor(upM / layerM) + 1,
    layers: Math.max(1, Math.round((planned.outerDiameterM - planned.innerDiameterM) / layerM)),
  };
}
