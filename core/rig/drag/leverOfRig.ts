import { leverCurve, presetGain, type LeverCurve, type LeverProblem, type PresetGain } from '../../drag/leverCurve';
import { PRESET_AT_START, stepPreset, type PresetState } from '../../drag/presetState';
import type { Outcome } from '../../result';
import type { PresetActRecord, RigRecord } from '../../record/record';

/** Where lever and preset stand by everything that was done with them; steps that were refused are not on record. */
export function presetOf(acts: readonly PresetActRecord[]): PresetState {
  return acts.reduce((state, { act }) => {
    const next = stepPreset(state, act);
    return next.ok ? next.value : state;
  }, PRESET_AT_START);
}

/** What is known of a rig's lever drag. */
export interface LeverOfRig {
  readonly preset: PresetState;
  /** The curve at the present preset, or why there is none. */
  readonly curve: Outcome<LeverCurve, LeverProblem>;
  /** Newtons for each turn of the preset, at the place of the lever that was pulled at most presets; null: not known. */
  readonly gain: (PresetGain & { readonly position: number }) | null;
}

/** The rig's lever by its pulls: the curve at the preset as it stands, and what a turn of the preset does. */
export function leverOfRig(record: Pick<RigRecord, 'leverPoints' | 'presetActs'>): LeverOfRig {
  const preset = presetOf(record.presetActs);
  const here = record.leverPoints.filter((point) => Math.abs(point.presetTurns - preset.turns) < 1e-9);
  const positions = [...new Set(record.leverPoints.map((point) => point.position))];
  const gains = positions.flatMap((position) => {
    const points = record.leverPoints.filter((point) => point.position === position);
    const gain = presetGain(points);
    return gain && position > 0.2 ? [{ ...gain, position, n: points.length }] : [];
  });
  const [best] = gains.toSorted((a, b) => b.n - a.n);
  return {
    preset,
    curve: leverCurve(here),
    gain: best ? { newtonsPerTurn: best.newtonsPerTurn, plusMinusN: best.plusMinusN, position: best.position } : null,
  };
}
