import { joinBoundShare, joinEfficiencyOf } from '../../joins/joinEfficiency';
import { JOIN_KINDS } from '../../joins/joinKinds';
import type { Known } from '../../provenance/source';
import type { Outcome } from '../../result';
import { lowerBound, type LowerBound, type NoBound } from '../../strength/lowerBound';
import { lengthFactor } from '../../strength/lengthEffect';
import { lotBound } from '../../strength/lotBound';
import { pooledCv, type PooledScatter } from '../../strength/pooledCv';
import { rigStrength, type RigStrength } from '../../strength/rigStrength';
import { sdFromPlusMinus, summarisePulls, type PullSummary } from '../../strength/summarisePulls';
import type { LoadedLine } from '../../spool/loadedLine';
import { productOf } from '../line/planForRig';
import type { JoinRecord, LineProductRecord, RigRecord, StrengthTestRecord } from '../../record/record';
import { strandsAt } from '../line/structures';
import { productIdNow } from '../line/woundSegments';

/** Pulls from which a mean is believed instead of the label. */
export const PULLS_FOR_A_MEAN = 3;

/**
 * Relative SD of a label as a statement of strength (common practice: labels are off by a quarter to
 * a half, mostly on the low side).
 */
export const LABEL_STRENGTH_RELATIVE_SD = 0.2;

export interface ProductStrength {
  readonly product: LineProductRecord;
  readonly summary: PullSummary | null;
  /** Which pulls the summary is of: wet ones where there are enough, since line is fished wet. */
  readonly condition: 'soaked' | 'dry' | 'soaked and dry';
  /** Mean length between the grips (m); null without pulls. */
  readonly gaugeLengthM: number | null;
  /** What 95 of 100 pieces hold, or why that cannot be said; null without pulls. */
  readonly bound: Outcome<LowerBound, NoBound> | null;
  /** What the line is taken to hold, or null with neither enough pulls nor a label. */
  readonly strengthN: Known | null;
}

/** The tests of a line whose pulls count: soaked ones from three pulls on, else dry ones, else whatever there is. */
function testsThatCount(record: StrengthEvidence, productId: string) {
  const of = (condition: StrengthTestRecord['condition'] | null) =>
    record.strengthTests.filter(
      (test) => test.productId === productId && (condition === null || test.condition === condition),
    );
  const enough = (tests: readonly StrengthTestRecord[]): boolean =>
    tests.reduce((sum, test) => sum + test.pulls.length, 0) >= PULLS_FOR_A_MEAN;
  const [soaked, dry, all] = [of('soaked'), of('dry'), of(null)];
  if (enough(soaked)) return { tests: soaked, condition: 'soaked' as const };
  if (enough(dry) || all.every((test) => test.condition === 'dry')) return { tests: dry, condition: 'dry' as const };
  return { tests: all, condition: 'soaked and dry' as const };
}

/** Of a record, what strengths are worked out from. */
export type StrengthEvidence = Pick<RigRecord, 'strengthTests' | 'products'>;

/** The scatter that a boat's other lines of a material have in common; null while none was pulled twice. */
export function pooledCvOf(record: StrengthEvidence, productId: string): PooledScatter | null {
  const material = record.products.find((product) => product.id === productId)?.material;
  const others = record.products.filter((product) => product.material === material && product.id !== productId);
  return pooledCv(
    others.flatMap((product) => {
      const summary = summarisePulls(pullsOf(testsThatCount(record, product.id).tests), null);
      return summary.ok ? [summary.value] : [];
    }),
  );
}

const pullsOf = (tests: readonly StrengthTestRecord[]): readonly number[] =>
  tests.flatMap((test) => test.pulls.map((pull) => pull.peakN));

/** The pulls of a line that count (N): wet ones where there are enough. */
export function countedPullsN(record: StrengthEvidence, productId: string): readonly number[] {
  return pullsOf(testsThatCount(record, productId).tests);
}

/** What a line holds: the mean of its pulls when there are enough, else the label, said to be one. */
export function productStrength(record: StrengthEvidence, productId: string): ProductStrength {
  const product = productOf(record, productId);
  const { tests, condition } = testsThatCount(record, productId);
  const outcome = summarisePulls(pullsOf(tests), product.labelStrengthN);
  const summary = outcome.ok ? outcome.value : null;
  const lent = summary && summary.n < PULLS_FOR_A_MEAN ? pooledCvOf(record, productId) : null;
  // One test is one spool: several of them tell what spools of this line differ by.
  const lots = tests.map((test) => test.pulls.map((pull) => pull.peakN)).filter((lot) => lot.length > 0);
  const enough = summary !== null && summary.n >= PULLS_FOR_A_MEAN;
  const bound = summary && (enough && lots.length > 1 ? lotBound(lots) : lowerBound(summary, lent));
  const gaugeLengthM = summary
    ? tests.reduce((sum, test) => sum + test.gaugeLengthM * test.pulls.length, 0) / summary.n
    : null;
  const found = { product, summary, condition, bound, gaugeLengthM };
  if (summary && summary.n >= PULLS_FOR_A_MEAN && summary.meanPlusMinusN !== null) {
    return { ...found, strengthN: known(summary.meanN, sdFromPlusMinus(summary.meanPlusMinusN), 'measured') };
  }
  const label = product.labelStrengthN;
  return { ...found, strengthN: label === null ? null : known(label, label * LABEL_STRENGTH_RELATIVE_SD, 'label') };
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
    const holds = segmentStrength(record, segment.id, segment.lengthM, basis);
    return holds && { segmentId: segment.id, name: segment.name, lengthM: segment.lengthM, ...holds };
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
      part: join.part,
      strands: strandsAt(record.joins, join, basis !== 'label' && joinEfficiency(join).source === 'measured'),
      efficiency: basis === 'label' ? joinEfficiency({ ...join, breaks: [] }) : joinEfficiency(join),
      boundShare: basis === 'label' ? null : joinBoundShare(join.breaks),
    }));
  return rigStrength(known, joins);
}

/** A join by its kind and the two lines that meet, so that no two joins of a rig share a name. */
function joinName(join: JoinRecord, segments: readonly { segmentId: string; name: string }[]): string {
  const nameOf = (id: string | null): string => segments.find((segment) => segment.segmentId === id)?.name ?? 'arbor';
  const { name } = JOIN_KINDS[join.kind];
  if (join.part === 'inner')
    return `${name} (end of ${nameOf(join.innerSegmentId)}, to ${nameOf(join.outerSegmentId)})`;
  if (join.part === 'outer')
    return `${name} (end of ${nameOf(join.outerSegmentId)}, to ${nameOf(join.innerSegmentId)})`;
  return `${name} (${nameOf(join.innerSegmentId)} – ${nameOf(join.outerSegmentId)})`;
}

function segmentStrength(record: RigRecord, segmentId: string, lengthM: number, basis: 'best' | 'label') {
  const productId = productIdNow(record, segmentId);
  const { product, strengthN, bound, summary, gaugeLengthM } = productStrength(record, productId);
  if (basis === 'best') {
    if (!strengthN) return null;
    // A whole segment breaks at its weakest piece: what short samples held is carried to its length.
    const cv = summary?.cv ?? pooledCvOf(record, productId)?.cv ?? null;
    const whole = gaugeLengthM !== null && cv ? lengthFactor(gaugeLengthM, lengthM, cv) : 1;
    return { strengthN, boundN: bound?.ok ? bound.value.boundN * whole : null };
  }
  const label = product.labelStrengthN;
  if (label === null) return null;
  return { strengthN: known(label, label * LABEL_STRENGTH_RELATIVE_SD, 'label'), boundN: null };
}

function known(value: number, sd: number, source: Known['source']): Known {
  return { value, sd, source };
}
