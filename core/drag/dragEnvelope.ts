import { weakestWithin, type RigStrength, type StrengthPlace } from '../strength/rigStrength';
import { spoolStateAt, type LoadedLine } from '../spool/loadedLine';

export interface EnvelopePoint {
  /** Length from hook to tip (m). */
  readonly lengthOutM: number;
  /** Times that the same drag torque pulls harder than when it was set. */
  readonly dragFactor: number;
  /** Half of the step of one layer, as a share of the factor: real layers come off whole. */
  readonly layerStep: number;
  /** Pull at the tip (N). */
  readonly tipForceN: number;
  /** Weakest place of what is out (N). */
  readonly weakest: StrengthPlace;
  readonly share: number;
}

export interface DragEnvelope {
  readonly points: readonly EnvelopePoint[];
  /** First length out at which the pull passes a share of the strength, or null. */
  readonly passes: readonly { readonly share: number; readonly lengthOutM: number | null }[];
}

const SHARES = [0.5, 0.8, 1] as const;

/**
 * Drag along the line with the setting left alone: the same torque on a shrinking spool pulls
 * D(at the setting)/D(out) times harder. The water's own pull on the line is not in it.
 *
 * @param line the loaded line
 * @param strength strength along the rig
 * @param setForceN pull at the tip when it was set (N)
 * @param setLengthOutM length out at the setting (m)
 * @param steps number of equal steps from nothing out to everything out
 */
export function dragEnvelope(
  line: LoadedLine,
  strength: RigStrength,
  setForceN: number,
  setLengthOutM: number,
  steps = 200,
): DragEnvelope {
  const diameterAt = (lengthOutM: number) => {
    const paidOutM = Math.min(Math.max(lengthOutM - line.handLinedLengthM, 0), line.woundLengthM);
    return spoolStateAt(line, paidOutM);
  };
  const setDiameterM = diameterAt(setLengthOutM).diameterM;
  const points = Array.from({ length: steps + 1 }, (_, index): EnvelopePoint => {
    const lengthOutM = (line.totalLengthM * index) / steps;
    const { diameterM, segment } = diameterAt(lengthOutM);
    const dragFactor = setDiameterM / diameterM;
    const tipForceN = setForceN * dragFactor;
    const weakest = weakestWithin(strength, lengthOutM);
    return {
      lengthOutM,
      dragFactor,
      layerStep: segment.lineDiameterM / diameterM,
      tipForceN,
      weakest,
      share: tipForceN / weakest.strengthN.value,
    };
  });
  const passes = SHARES.map((share) => ({
    share,
    lengthOutM: points.find((point) => point.share >= share)?.lengthOutM ?? null,
  }));
  return { points, passes };
}
