import type { Known } from '../../provenance/source';
import { ERRORS } from '../../measurement/errors';
import type { StrengthPlace } from '../../strength/rigStrength';
import { sharesOf } from '../../joins/joinEfficiency';
import { summarisePulls } from '../../strength/summarisePulls';
import { PULLS } from '../../worth/measurement';
import { meanSdAfterPulls, type Factor } from '../../worth/shareFigures';
import { guideFactorFor } from '../drag/guideOfRig';
import { segmentsOfJoin } from '../line/structures';
import { productIdNow } from '../line/woundSegments';
import { joinEfficiency, pooledCvOf, productStrength } from '../strength/strengthOfRig';
import type { RigRecord } from '../../record/record';

const relative = ({ value, sd }: Known): number => sd / value;

/** What a place's strength is a product of, and what more pulls would leave of each. */
export function strengthFactors(record: RigRecord, place: StrengthPlace): readonly Factor[] {
  if (place.kind === 'segment') return lineFactor(record, place.id);
  const join = record.joins.find((each) => each.id === place.id);
  if (!join) return [];
  const held = segmentsOfJoin(join).flatMap((id) => lineFactor(record, id));
  const weaker = held.toSorted((a, b) => a.strengthN - b.strengthN).slice(0, 1);
  const shares = sharesOf(join.breaks);
  const summary = summarisePulls(shares, null);
  return [
    ...weaker,
    {
      relativeSd: relative(joinEfficiency(join)),
      relativeSdAfter: meanSdAfterPulls({ pulls: shares.length, cv: summary.ok ? summary.value.cv : null }),
      measurement: { kind: 'join-pulls', of: join.id, name: place.name, atM: null },
    },
  ];
}

function lineFactor(record: RigRecord, segmentId: string): readonly (Factor & { readonly strengthN: number })[] {
  const productId = productIdNow(record, segmentId);
  const { product, summary, strengthN } = productStrength(record, productId);
  if (!strengthN) return [];
  const cv = summary?.cv ?? pooledCvOf(record, productId)?.cv ?? null;
  return [
    {
      strengthN: strengthN.value,
      relativeSd: relative(strengthN),
      relativeSdAfter: meanSdAfterPulls({ pulls: summary?.n ?? 0, cv }),
      measurement: { kind: 'line-pulls', of: productId, name: product.name, atM: null },
    },
  ];
}

/** What the guides make of a pull, and what three pulls straight off the reel beside three through the rod would leave of it. */
export function guideFactor(record: RigRecord, rodAngleRad: number): Factor & { readonly value: number } {
  const guide = guideFactorFor(record, rodAngleRad);
  return {
    value: guide.value,
    relativeSd: relative(guide),
    relativeSdAfter: ERRORS.pullShare.sd * Math.sqrt(2 / PULLS),
    measurement:
      guide.source === 'measured' ? null : { kind: 'straight-pull', of: record.id, name: record.name, atM: null },
  };
}
