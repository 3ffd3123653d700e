import { because, type Reason } from '../reasons';
import { GUST, pullAtSpeed, type PlanerBracket } from './planerBracket';
import type { LeverCurve, PresetGain } from './leverCurve';

/** What to do with lever and preset for a planer, at a speed. */
export interface PlanerAdvice {
  /** What has to be held at that speed with waves and reserve (N): of the likely pull, and of the highest. */
  readonly likelyN: number;
  readonly holdN: number;
  /** Above this a strike on the bait may go unheard (N), a guess: ease to it once it is set and turned. */
  readonly unheardAboveN: number;
  /** Place of the lever that holds, 0 to 1; null where the sweep does not reach or no curve was measured. */
  readonly position: number | null;
  readonly preset: 'right' | 'tighter' | 'looser' | 'unknown';
  /** Turns of the preset that would bring the likely pull to the middle of the sweep; null while a turn is not known. */
  readonly presetTurns: number | null;
}

/** Kept over the highest likely pull. */
export const RESERVE = 0.15;
/** A strike adds about half of a small planer's pull (a guess). */
const UNHEARD = 1.5;
/** The lever's middle, or a little past it, in average conditions (common practice, no source). */
const MIDDLE = { from: 0.42, to: 0.62, aim: 0.52 } as const;

/**
 * Where the lever holds a planer, and whether the preset is right: in ordinary water about half of the sweep should
 * stop the creep, which leaves the other half for a following sea or a head current.
 *
 * @param bracket of that size of planer
 * @param speedMS speed through the water (m/s)
 * @param curve of the lever at the present preset, or null
 * @param gain newtons for each turn of the preset at the middle of the sweep, or null
 */
export function planerAdvice(
  bracket: PlanerBracket,
  speedMS: number,
  curve: LeverCurve | null,
  gain: PresetGain | null,
): PlanerAdvice {
  const likelyN = pullAtSpeed(bracket.midN, speedMS) * (1 + GUST);
  const holdN = pullAtSpeed(bracket.highN, speedMS) * (1 + GUST) * (1 + RESERVE);
  const position = curve?.positionFor(holdN) ?? null;
  const likelyAt = curve?.positionFor(likelyN) ?? null;
  // What was not pulled to the front may still hold there: nothing is said of it.
  const fullN = curve?.forceAt(1) ?? null;
  const isBeyondPulls =
    curve !== null && likelyAt === null && fullN === null && (curve.points.at(-1)?.forceN ?? 0) < likelyN;
  const tooWeak = fullN !== null && fullN < likelyN;
  const preset =
    curve === null || isBeyondPulls
      ? 'unknown'
      : tooWeak || (likelyAt !== null && likelyAt > MIDDLE.to)
        ? 'tighter'
        : likelyAt === null || likelyAt < MIDDLE.from
          ? 'looser'
          : 'right';
  const middleN = curve?.forceAt(MIDDLE.aim) ?? null;
  return {
    likelyN,
    holdN,
    unheardAboveN: pullAtSpeed(bracket.midN, speedMS) * UNHEARD,
    position,
    preset,
    presetTurns:
      preset === 'right' || preset === 'unknown' || middleN === null || !gain || gain.newtonsPerTurn <= 0
        ? null
        : (likelyN - middleN) / gain.newtonsPerTurn,
  };
}

/** A step of the guide for a planer that creeps with the lever at full. */
export interface CreepStep {
  readonly what: Reason;
  readonly why: Reason;
}

/** What to try when a planer creeps with the lever at full, the gentlest first (common practice, no source). */
export const CREEP_GUIDE: readonly CreepStep[] = [
  { what: because('creep-slow-down'), why: because('creep-slow-down-why') },
  { what: because('creep-thumb'), why: because('creep-thumb-why') },
  { what: because('creep-preset'), why: because('creep-preset-why') },
  { what: because('creep-smaller-planer'), why: because('creep-smaller-planer-why') },
  { what: because('creep-heading'), why: because('creep-heading-why') },
];
