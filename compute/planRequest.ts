import { ERRORS } from '../core/measurement/errors';
import { planLoad, type LoadPlan } from '../core/load/planLoad';
import type { Known } from '../core/provenance/source';
import type { Outcome } from '../core/result';
import {
  constantSdM,
  lineDiameterSdM,
  windingStrainOf,
  type CounterRequest,
  type ReelRequest,
  type SegmentRequest,
} from './requestSchemas';

export interface LoadedReelRequest {
  readonly reel: ReelRequest;
  readonly counter: CounterRequest | null;
  readonly segments: readonly SegmentRequest[];
}

const measured = (value: number, sd: number): Known => ({ value, sd, source: 'measured' });

/** The SDs that every ± of an answer rests on, so that a default among them is seen. */
export function sdsUsed(request: LoadedReelRequest) {
  return {
    diameterM: request.reel.diameterSdM,
    lengthPerTurnM: request.counter && constantSdM(request.counter),
    segments: request.segments.map((segment) => ({
      name: segment.name,
      lineDiameterM: lineDiameterSdM(segment),
      packing: segment.packingSd,
    })),
  };
}

/** Runs the core's plan on a request whose figures have been checked. */
export function planRequest(request: LoadedReelRequest, levelBelowRimM: number): Outcome<LoadPlan, 'does-not-fit'> {
  const { reel, counter, segments } = request;
  return planLoad(
    {
      arborDiameterM: measured(reel.arborDiameterM, reel.diameterSdM),
      widthM: measured(reel.widthM, Math.hypot(reel.diameterSdM, ERRORS.flangeShare.sd * reel.widthM)),
      fullDiameterM: measured(reel.fullDiameterM, reel.diameterSdM),
    },
    segments.map((segment, index) => ({
      id: String(index),
      name: segment.name,
      wound: segment.wound,
      lineDiameterM: measured(segment.lineDiameterM, lineDiameterSdM(segment)),
      labelOf: segment.lineDiameterSdM === undefined ? (segment.material ?? 'any') : undefined,
      packing: measured(segment.packing, segment.packingSd),
      windingStrain: windingStrainOf(segment),
      lengthM: segment.lengthM === null ? null : measured(segment.lengthM, 0),
    })),
    counter && { ...counter, lengthPerTurnM: measured(counter.lengthPerTurnM, constantSdM(counter)) },
    levelBelowRimM,
  );
}
