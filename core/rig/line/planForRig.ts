import { planLoad, type LoadPlan } from '../../load/planLoad';
import { ERRORS } from '../../measurement/errors';
import { LINE_ERRORS, type LineErrors } from '../../measurement/lineErrors';
import type { Known } from '../../provenance/source';
import type { Outcome } from '../../result';
import { knownCounter } from './counterOf';
import type { LineProductRecord, RigRecord } from '../../record/record';

/** The line product of a segment. Throws when the record does not hold it. */
export function productOf(record: Pick<RigRecord, 'products'>, productId: string): LineProductRecord {
  const product = record.products.find((candidate) => candidate.id === productId);
  if (!product) throw new RangeError(`productOf: the record has no line ${productId}`);
  return product;
}

/** How much a line is stretched as it goes on a spool, as a share of its relaxed length. */
export function strainOf({ material }: Pick<LineProductRecord, 'material'>): LineErrors['windingStrain'] {
  return LINE_ERRORS[material].windingStrain;
}

/** The mark at which the segment that is worked out is to end itself, or null. */
function ownMarkOf({ fill }: RigRecord): Known | null {
  return fill?.target.kind === 'own-mark'
    ? { value: fill.target.diameterM, sd: ERRORS.caliperM.sd, source: 'measured' }
    : null;
}

/**
 * The plan of a rig's present stack.
 *
 * @param record the rig
 * @param levelBelowRimM depth of the finished level under the rim (m)
 */
export function planForRig(record: RigRecord, levelBelowRimM: number): Outcome<LoadPlan, 'does-not-fit'> {
  return planLoad(
    record.reel,
    record.segments.map((segment) => {
      const product = productOf(record, segment.productId);
      return {
        id: segment.id,
        name: segment.name,
        lineId: product.id,
        wound: segment.wound,
        lineDiameterM: product.diameterM,
        packing: product.packing,
        windingStrain: strainOf(product),
        lengthM:
          segment.lengthM === null
            ? null
            : { value: segment.lengthM, sd: segment.lengthM * ERRORS.lengthShare.sd, source: 'measured' },
      };
    }),
    knownCounter(record),
    levelBelowRimM,
    record.knowledge.joint,
    ownMarkOf(record),
  );
}
