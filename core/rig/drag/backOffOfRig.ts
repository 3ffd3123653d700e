import { dragFactorSd } from '../../calibration/dragFactorSd';
import { USUAL_SET_SHARE } from '../../drag/usualSetShare';
import { backOffTable, envelopeAt, type BackOff } from '../../drag/dragEnvelope';
import { leverPlace, presetGain, type LeverPlace, type PresetGain } from '../../drag/leverCurve';
import { USUAL_RUN } from '../../drag/waterPull';
import type { Figure } from '../../provenance/figure';
import type { RigRecord } from '../../record/record';
import { readingsAt, type ReadingThere } from '../count/readingsAt';
import type { RigView } from '../view/rigView';
import { leverOfRig } from './leverOfRig';

/** A row of the table by what a hand can set. */
export interface HandBackOff extends BackOff {
  readonly reading: ReadingThere;
  /** Where the lever goes; null without a curve, or where its sweep does not reach. */
  readonly lever: LeverPlace | null;
  /** Turns of the star, looser negative; null while this reel's own turns are not known. */
  readonly starTurns: Pick<Figure, 'value' | 'plusMinus'> | null;
}

/** By what the drag of a rig can be eased without a scale. */
export type EasedBy = 'lever' | 'star' | 'scale';

/**
 * How to ease a drag as line leaves, by what the hand has: the reading of the counter, and the lever's place or turns of the star
 * where this reel's own were pulled; else a scale says it: it should show what it was set to.
 *
 * @param forceN pull at the tip as it was set, with nothing out (N)
 * @param lengthsM lengths out (m from the hook), within the line
 */
export function backOffOfRig(
  view: RigView,
  forceN: number,
  lengthsM: readonly number[],
): { readonly by: EasedBy; readonly rows: readonly HandBackOff[] } {
  const { record, strength, ruler } = view;
  const { line } = view.current;
  if (!strength) return { by: 'scale', rows: [] };
  const set = { forceN, plusMinusN: USUAL_SET_SHARE * forceN, lengthOutM: 0 };
  const at = envelopeAt(line, strength, set, USUAL_RUN, dragFactorSd(ruler, 0));
  const { curve } = leverOfRig(record);
  const lever = record.reel.dragKind === 'lever' && curve.ok ? curve.value : null;
  const gain = record.reel.dragKind === 'lever' ? null : starGain(record);
  const readings = readingsAt(view, lengthsM);
  return {
    by: lever ? 'lever' : gain ? 'star' : 'scale',
    rows: backOffTable(at, lengthsM).flatMap((row, index) => {
      const reading = readings[index];
      if (!reading) return [];
      return {
        ...row,
        reading,
        lever: lever && leverPlace(lever, forceN * row.easeTo, forceN * row.easeToPlusMinus),
        starTurns: gain && starTurnsFor(gain, forceN, row),
      };
    }),
  };
}

function starTurnsFor(gain: PresetGain, forceN: number, { easeTo, easeToPlusMinus }: BackOff) {
  const value = (forceN * (easeTo - 1)) / gain.newtonsPerTurn;
  const gainShare = (gain.plusMinusN ?? gain.newtonsPerTurn) / gain.newtonsPerTurn;
  return { value, plusMinus: Math.hypot((forceN * easeToPlusMinus) / gain.newtonsPerTurn, value * gainShare) };
}

/**
 * Newtons for each turn of the star, by this reel's own pulls at several places of it: of the open or accepted session that has most; null
 * while fewer than three pulls tell where it stood, or none of them differ.
 */
export function starGain(record: Pick<RigRecord, 'load' | 'dragSession' | 'dragSetting'>): PresetGain | null {
  const gains = [record.dragSession, record.dragSetting].flatMap((session) => {
    // On another load the same turn makes another pull.
    const isOnThis = session !== null && session.loadId === record.load?.id;
    const points = (isOnThis ? session.pulls : []).flatMap(({ kind, movingN, starTurns }) =>
      kind === 'bent rod' && starTurns !== null ? [{ position: 0, forceN: movingN, presetTurns: starTurns }] : [],
    );
    const gain = points.length >= LEAST_PULLS ? presetGain(points) : null;
    return gain && gain.newtonsPerTurn > 0 ? [{ gain, n: points.length }] : [];
  });
  return gains.toSorted((a, b) => b.n - a.n)[0]?.gain ?? null;
}

const LEAST_PULLS = 3;
