import type { FillTarget } from '../../load/fillTarget';
import type { Figure } from '../../provenance/figure';
import { failure, success, type Outcome } from '../../result';
import { spoolVolumeM3 } from '../../spool/spoolGeometry';
import { spoolStateAt, type LoadedLine } from '../../spool/loadedLine';
import type { StrengthPlace } from '../../strength/rigStrength';
import { countsForLine } from '../../counter/counter';
import { counterOf } from '../line/counterOf';
import { fillOfRig } from '../line/fillOfRig';
import { planForRig } from '../line/planForRig';
import type { RigRecord } from '../../record/record';
import { strengthInReach } from '../strength/reach';

/** One plan among several, in the figures that decide between them. */
export interface ComparedPlan {
  readonly line: LoadedLine;
  readonly levelBelowRimM: Figure;
  /** Share of the spool between arbor and rim that stays empty; negative when it is overfull. */
  readonly capacityLeft: number;
  /** Relative error of the counter over the working range: least and greatest; null without a counter. */
  readonly counterError: { readonly least: number; readonly greatest: number } | null;
  readonly weakest: StrengthPlace | null;
  /** Pull with all line out ÷ pull with none out, the drag left alone. */
  readonly dragRise: number;
  /** Line that it takes, by the line's id (m). */
  readonly lineM: Readonly<Record<string, number>>;
}

/** Places of the working range at which the counter's error is looked at. */
const STATIONS = 9;

/**
 * Works out one plan for comparison with others of the same reel.
 *
 * @param record the rig with the stack that is looked at
 * @param fill where its level is to end
 * @param range working range of line out (m off the spool)
 */
export function comparedPlan(
  record: RigRecord,
  fill: FillTarget,
  range: { readonly fromM: number; readonly toM: number },
): Outcome<ComparedPlan> {
  if (record.segments.length === 0) return failure('no-segments');
  const level = fillOfRig(record, fill);
  if (!level.ok) return level;
  const plan = planForRig(record, level.value);
  if (!plan.ok) return plan;
  const { line, levelBelowRimM } = plan.value;
  const fullM3 = spoolVolumeM3(line.spool, record.reel.fullDiameterM.value);
  const lineM: Record<string, number> = {};
  for (const segment of line.segments) {
    const id = record.segments.find((candidate) => candidate.id === segment.id)?.productId ?? '';
    lineM[id] = (lineM[id] ?? 0) + segment.lengthM;
  }
  return success({
    line,
    levelBelowRimM,
    capacityLeft: 1 - spoolVolumeM3(line.spool, line.fullDiameterM) / fullM3,
    counterError: counterErrorOver(record, line, range),
    weakest: strengthInReach(record, line)?.weakest ?? null,
    dragRise: line.fullDiameterM / line.spool.arborDiameterM,
    lineM,
  });
}

function counterErrorOver(
  record: RigRecord,
  line: LoadedLine,
  range: { readonly fromM: number; readonly toM: number },
): ComparedPlan['counterError'] {
  const counter = counterOf(record);
  if (!counter || range.toM > line.woundLengthM) return null;
  const errors = Array.from({ length: STATIONS }, (_, index) => {
    const lengthM = range.fromM + ((range.toM - range.fromM) * index) / (STATIONS - 1);
    const counts = countsForLine({ turns: spoolStateAt(line, lengthM).turns, lengthM }, counter);
    return (counts * counter.unitM) / lengthM - 1;
  });
  return { least: Math.min(...errors), greatest: Math.max(...errors) };
}
