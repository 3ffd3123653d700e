import { because, type Reason } from '../../reasons';
import type { LeverCurve, PresetGain } from '../leverCurve';
import type { LeverBracket, PlanerBracket, Range90 } from './planerBracket';
import { pullAtSpeed } from './planerBracket';
import { GUST, type TowingWater } from './planerLooks';

/** What to do about the preset. */
export type PresetVerdict = 'right' | 'tighter' | 'looser' | 'unknown';

/** Where the lever stands for one kind of water. */
export interface LeverMark {
  readonly water: TowingWater;
  /** Share of the sweep that stops the creep on any day. */
  readonly stops: Range90;
  /** Where to put it: the highest of that, and the reserve; null where the sweep does not reach it. */
  readonly position: number | null;
}

/** What to do with lever and preset for a planer, by feel. */
export interface LeverAdvice {
  readonly marks: readonly LeverMark[];
  readonly preset: PresetVerdict;
}

/** Kept over the highest likely pull. */
export const RESERVE = 0.15;
/** The lever's middle, or a little past it, in average conditions (common practice, no source). */
const MIDDLE = { from: 0.42, to: 0.62, aim: 0.52 } as const;
/** Where lever and preset stand when a planer goes in for the first time, as shares of their travel (common practice, no source). */
export const FIRST_SETTING = { preset: 0.5, lever: 0.5 } as const;

/**
 * Where the lever stops a planer's creep in each water, and whether the preset is right: in ordinary water about half of the sweep
 * should do it, which leaves the other half for a following sea or a head current. No newtons are needed.
 *
 * @param speedMS speed through the water (m/s)
 */
export function leverAdvice(bracket: LeverBracket, speedMS: number): LeverAdvice {
  const marks = (['ordinary', 'hard'] as const).map((water): LeverMark => {
    const stops = bracket.placeFor(speedMS, water);
    const position = stops.high * (1 + RESERVE) ** (1 / bracket.slope.mid);
    return { water, stops, position: position <= 1 ? position : null };
  });
  const usual = marks[0]?.stops.mid ?? NaN;
  return { marks, preset: bracket.counted === 0 ? 'unknown' : verdictAt(usual) };
}

const verdictAt = (position: number): PresetVerdict =>
  position > MIDDLE.to ? 'tighter' : position < MIDDLE.from ? 'looser' : 'right';

/** What has to be held, where a curve of the lever or a scale gave newtons. */
export interface PlanerAdvice {
  /** What has to be held at that speed with waves and reserve (N): of the likely pull, and of the highest. */
  readonly likelyN: number;
  readonly holdN: number;
  /** Place of the lever that holds, 0 to 1; null where the sweep does not reach or no curve was measured. */
  readonly position: number | null;
  readonly preset: PresetVerdict;
  /** Turns of the preset that would bring the likely pull to the middle of the sweep; null while a turn is not known. */
  readonly presetTurns: number | null;
  /** True where what has to be held is more than the reel's maker allows. */
  readonly isOverLimit: boolean;
}

/**
 * The same in newtons: which pull the drag has to hold, and where the measured curve has it.
 *
 * @param bracket of that size of planer
 * @param speedMS speed through the water (m/s)
 * @param curve of the lever at the present preset, or null
 * @param gain newtons for each turn of the preset at the middle of the sweep, or null
 * @param makerLimitN the reel maker's drag limit (N), or null when unknown
 */
export function planerAdvice(
  bracket: PlanerBracket,
  speedMS: number,
  curve: LeverCurve | null,
  gain: PresetGain | null,
  makerLimitN: number | null,
): PlanerAdvice {
  const likelyN = pullAtSpeed(bracket.midN, speedMS) * (1 + GUST);
  const holdN = pullAtSpeed(bracket.highN, speedMS) * (1 + GUST) * (1 + RESERVE);
  const likelyAt = curve?.positionFor(likelyN) ?? null;
  // What was not pulled to the front may still hold there: nothing is said of it.
  const fullN = curve?.forceAt(1) ?? null;
  const isBeyondPulls =
    curve !== null && likelyAt === null && fullN === null && (curve.points.at(-1)?.forceN ?? 0) < likelyN;
  const tooWeak = fullN !== null && fullN < likelyN;
  const preset =
    curve === null || isBeyondPulls
      ? 'unknown'
      : tooWeak
        ? 'tighter'
        : likelyAt === null
          ? 'looser'
          : verdictAt(likelyAt);
  const middleN = curve?.forceAt(MIDDLE.aim) ?? null;
  return {
    likelyN,
    holdN,
    position: curve?.positionFor(holdN) ?? null,
    preset,
    presetTurns:
      preset === 'right' || preset === 'unknown' || middleN === null || !gain || gain.newtonsPerTurn <= 0
        ? null
        : (likelyN - middleN) / gain.newtonsPerTurn,
    isOverLimit: makerLimitN !== null && holdN > makerLimitN,
  };
}

/** A step of the guide for a planer that creeps with the lever at full. */
export interface CreepStep {
  readonly what: Reason;
  readonly why: Reason;
}

/** What a deck does, in this order, when a planer creeps with the lever at full (common practice, no source). */
export const CREEP_STEPS: readonly CreepStep[] = [
  { what: because('creep-slow-down'), why: because('creep-slow-down-why') },
  { what: because('creep-hold-spool'), why: because('creep-hold-spool-why') },
  { what: because('creep-free'), why: because('creep-free-why') },
  { what: because('creep-preset'), why: because('creep-preset-why') },
  { what: because('creep-in-gear'), why: because('creep-in-gear-why') },
  { what: because('creep-look-again'), why: because('creep-look-again-why') },
];

/** What helps instead, where the preset is not to be turned further. */
export const CREEP_ALTERNATIVES: readonly CreepStep[] = [
  { what: because('creep-smaller-planer'), why: because('creep-smaller-planer-why') },
  { what: because('creep-heading'), why: because('creep-heading-why') },
];
