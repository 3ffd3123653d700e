import { because, type Reason } from '../../reasons';
import type { LoadRecord, RigRecord } from '../../record/record';
import { buildLoadedLine } from '../../spool/loadedLine';
import { woundLine } from '../line/currentLine';

/** Lengths that differ by less (m, or as a share) are what hands and whole counts leave open. */
const SAME_LENGTH_M = 0.5;
const SAME_LENGTH_SHARE = 0.01;
/** Levels that differ by less (m) are what a straight edge leaves open. */
const SAME_LEVEL_M = 0.0005;

/**
 * In what a finished load differs from its plan, the most first: lengths as they went on against lengths as they were planned, before
 * any change was agreed to, and the measured level against the one that was planned.
 *
 * @returns null where it was wound as planned
 */
export function differsFromPlan(
  record: RigRecord,
  load: LoadRecord,
): Reason<'wound-otherwise' | 'wound-to-other-level'> | null {
  const wound = woundLine(record, { ...load, changes: [], replacements: [] });
  const differing = load.segments
    .map((segment) => {
      const plannedM = segment.agreedFromM ?? segment.plannedLengthM;
      const lengthM = wound.segments.find((each) => each.id === segment.segmentId)?.lengthM ?? 0;
      // A length that was worked out was planned to within its ± only.
      const openM = segment.solved ? segment.plannedPlusMinusM : 0;
      const sameM = Math.max(SAME_LENGTH_M, SAME_LENGTH_SHARE * plannedM, openM);
      return { segment: segment.name, byM: lengthM - plannedM, sameM };
    })
    .filter(({ byM, sameM }) => Math.abs(byM) > sameM)
    .toSorted((a, b) => Math.abs(b.byM) - Math.abs(a.byM));
  const [most] = differing;
  if (most) return because('wound-otherwise', { segment: most.segment, byM: most.byM, others: differing.length - 1 });
  if (load.levelBelowRimM === null) return null;
  const byM = load.levelBelowRimM - plannedLevelM(record, load);
  return Math.abs(byM) > SAME_LEVEL_M ? because('wound-to-other-level', { byM }) : null;
}

/** The level (m under the rim) to which a load was planned. */
function plannedLevelM({ reel }: RigRecord, load: LoadRecord): number {
  const planned = buildLoadedLine(
    { arborDiameterM: reel.arborDiameterM.value, widthM: reel.widthM.value },
    load.segments.map(({ segmentId: id, name, agreedFromM, plannedLengthM, lineDiameterM, packing, wound }) => ({
      id,
      name,
      lengthM: agreedFromM ?? plannedLengthM,
      lineDiameterM,
      packing,
      wound,
    })),
  );
  return (reel.fullDiameterM.value - planned.fullDiameterM) / 2;
}
