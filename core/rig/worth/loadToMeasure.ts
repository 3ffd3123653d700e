import { colouredLengthsM } from '../../load/colours';
import type { CounterEstimate } from '../../calibration/estimateCounter';
import { bulkRelativeSd } from '../../load/planLoad';
import { MATERIAL } from '../../materials/materials';
import type { LineToMeasure, LoadToMeasure } from '../../worth/loadMeasurements';
import { spoolToTryM } from '../../worth/measurement';
import { usualWalkM } from '../count/adviceForRig';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';
import type { RigRecord } from '../../record/record';

/**
 * What of a rig's load can be measured, and what was.
 *
 * @param estimate of it by what is known now
 */
export function loadToMeasure(record: RigRecord, estimate: CounterEstimate): LoadToMeasure {
  const { reel, load, segments } = record;
  const { line } = estimate.best;
  const isWound = load?.status === 'wound';
  const free = isWound
    ? undefined
    : line.segments.find((each) => segments.find(({ id }) => id === each.id)?.lengthM === null);
  return {
    rigId: record.id,
    reel: {
      id: reel.id,
      name: reel.name,
      unmeasured: [
        ...(reel.measured.arborDiameterM === null ? (['arbor'] as const) : []),
        ...(reel.measured.widthM === null ? (['width'] as const) : []),
        ...(reel.measured.fullDiameterM === null ? (['rim'] as const) : []),
      ],
    },
    estimate,
    lines: linesOf(record, line.segments),
    isWound,
    // Once line has gone or was replaced, a level is not the level of what was wound.
    canReadLevel:
      isWound && load.levelBelowRimM === null && load.changes.length === 0 && load.replacements.length === 0,
    hasCounter: reel.counter !== null,
    walkM: line.woundLengthM > 0 ? usualWalkM(line) : null,
    coloursM: isWound ? coloursOffM(record, line.segments) : [],
    spool: free ? { segmentId: free.id, name: free.name, lengthM: spoolToTryM(free.lengthM) } : null,
  };
}

/** Each line of a stack once, as far as its thickness is known. */
function linesOf(record: RigRecord, segments: CounterEstimate['best']['line']['segments']): readonly LineToMeasure[] {
  const ids = new Set(segments.filter((each) => each.wound).map((each) => productIdNow(record, each.id)));
  return [...ids].map((lineId) => {
    const { name, diameterM, packing, material } = productOf(record, lineId);
    const before = record.knowledge.lines.find((each) => each.productId === lineId)?.relativeSdBefore;
    return {
      ...{ lineId, name, diameterM, isSoft: MATERIAL[material].givesWay },
      bulkRelativeSd: before ?? bulkRelativeSd({ lineDiameterM: diameterM, packing }),
    };
  });
}

/** Changes of colour of the outermost lead core, as they leave the tip (m off the spool). */
function coloursOffM({ load }: RigRecord, segments: CounterEstimate['best']['line']['segments']): readonly number[] {
  let offM = 0;
  for (const segment of segments.toReversed().filter((each) => each.wound)) {
    const { colours = [], colourLengthM = null } =
      load?.segments.find(({ segmentId }) => segmentId === segment.id) ?? {};
    if (colours.length > 0) {
      const lengths = colouredLengthsM(colours, segment.lengthM, colourLengthM);
      return lengths.toReversed().map(({ fromM }) => offM + segment.lengthM - fromM);
    }
    offM += segment.lengthM;
  }
  return [];
}
