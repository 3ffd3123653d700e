import type { WeakestHolds } from '../../drag/dragTarget';
import { sharesOf } from '../../joins/joinEfficiency';
import type { RigStrength, StrengthPlace } from '../../strength/rigStrength';
import { pooledCvOf, productStrength } from '../strength/strengthOfRig';
import { productIdNow } from '../line/woundSegments';
import type { RigRecord } from '../../record/record';

/** Pulls of its own, or degrees of freedom of other lines' scatter, from which a bound is sure enough to refuse by. */
const SURE_PULLS = 5;
const SURE_DEGREES = 4;

/** What the weakest place that may be out holds, and whether its bound is sure enough to refuse a target by it. */
export function weakestHolds(record: RigRecord, inReach: RigStrength): WeakestHolds {
  const byBound = inReach.weakestByBound;
  return {
    meanN: inReach.weakest.strengthN.value,
    boundN: byBound?.boundN ?? null,
    isBoundSure: byBound !== null && isSure(record, byBound),
  };
}

function isSure(record: RigRecord, { kind, id }: StrengthPlace): boolean {
  if (kind === 'join') {
    const join = record.joins.find((each) => each.id === id);
    return join !== undefined && sharesOf(join.breaks).length >= SURE_PULLS;
  }
  const productId = productIdNow(record, id);
  const pulls = productStrength(record, productId).summary?.n ?? 0;
  return pulls >= SURE_PULLS || (pooledCvOf(record, productId)?.degrees ?? 0) >= SURE_DEGREES;
}
