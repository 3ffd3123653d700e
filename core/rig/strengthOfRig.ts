import { joinEfficiencyOf } from '../joins/joinEfficiency';
import { JOIN_KINDS } from '../joins/joinKinds';
import type { Known } from '../provenance/source';
import { rigStrength, type RigStrength } from '../strength/rigStrength';
import { sdFromPlusMinus, summarisePulls, type PullSummary } from '../strength/summarisePulls';
import type { LoadedLine } from '../spool/loadedLine';
import { productOf } from './planForRig';
import type { JoinRecord, LineProductRecord, RigRecord } from './record';
import { productIdNow } from './woundSegments';

/** Pulls from which a mean is believed instead of the label. */
export const PULLS_FOR_A_MEAN = 3;

/**
 * Relative SD of a label as a statement of strength (common practice: labels are off by a quarter to
 * a half, mostly on the low side).
 */
const LABEL_STRENGTH_RELATIVE_SD = 0.2;

export interface ProductStrength {
  readonly product: LineProductRecord;
  readonly summary: PullSummary | null;
  /** What the line is taken to hold, or null with neither enough pulls nor a label. */
  readonly strengthN: Known | null;
}

/** What a line holds: the mean of its pulls when there are enough, else the label, said to be one. */
export function productStrength(record: RigRecord, productId: string): ProductStrength {
  const product = productOf(record, productId);
  const pulls = record.strengthTests
    .filter((test) => test.productId === productId)
    .flatMap((test) => test.pulls.map((pull) => pull.peakN));
  const outcome = summarisePulls(pulls, product.labelStrengthN);
  const summary = outcome.ok ? outcome.value : null;
  if (summary && summary.n >= PULLS_FOR_A_MEAN && summary.meanPlusMinusN !== null) {
    return { product, summary, strengthN: known(summary.meanN, sdFromPlusMinus(summary.meanPlusMinusN), 'measured') };
  }
  const label = product.labelStrengthN;
  return {
    product,
    summary,
    strengthN: label === null ? null : known(label, label * LABEL_STRENGTH_RELATIVE_SD, 'label'),
  };
}

/** A join's share of the weaker line: by its own pulls, or the default of its kind. */
export function joinEfficiency(join: JoinRecord): Known {
  return joinEfficiencyOf(join.kind, join.breaks);
}

/**
 * Strength along the rig as it lies, or null while a line has neither pulls nor a label.
 *
 * @param record the rig
 * @param line its present line
 * @param basis 'best' takes tested means where there are any; 'label' takes labels and default joins only
 */
export function strengthOfRig(
  record: RigRecord,
  line: LoadedLine,
  basis: 'best' | 'label' = 'best',
): RigStrength | null {
  const segments = line.segments.map((segment) => {
    const strengthN = segmentStrength(record, segment.id, basis);
    return strengthN && { segmentId: segment.id, name: segment.name, lengthM: segment.lengthM, strengthN };
  });
  const known = segments.filter((segment) => segment !== null);
  if (known.length < segments.length || known.length === 0) return null;
  const present = new Set(known.map((segment) => segment.segmentId));
  const joins = record.joins
    .filter(
      (join) => present.has(join.outerSegmentId) && (join.innerSegmentId === null || present.has(join.innerSegmentId)),
    )
    .map((join) => ({
      joinId: join.id,
      name: joinName(join, known),
      innerSegmentId: join.innerSegmentId,
      outerSegmentId: join.outerSegmentId,
      efficiency: basis === 'label' ? joinEfficiency({ ...join, breaks: [] }) : joinEfficiency(join),
    }));
  return rigStrength(known, joins);
}

/** A join by its kind and the two lines that meet, so that no two joins of a rig share a name. */
function joinName(join: JoinRecord, segments: readonly { segmentId: string; name: string }[]): string {
  const nameOf = (id: string | null): string => segments.find((segment) => segment.segmentId === id)?.name ?? 'arbor';
  return `${JOIN_KINDS[join.kind].name} (${nameOf(join.innerSegmentId)} – ${nameOf(join.outerSegmentId)})`;
}

function segmentStrength(record: RigRecord, segmentId: string, basis: 'best' | 'label'): Known | null {
  const strength = productStrength(record, productIdNow(record, segmentId));
  if (basis === 'best') return strength.strengthN;
  const label = strength.product.labelStrengthN;
  return label === null ? null : known(label, label * LABEL_STRENGTH_RELATIVE_SD, 'label');
}

function known(value: number, sd: number, source: Known['source']): Known {
  return { value, sd, source };
}
