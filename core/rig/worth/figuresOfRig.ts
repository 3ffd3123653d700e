import { dragTarget } from '../../drag/dragTarget';
import { leverPlace } from '../../drag/leverCurve';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import { oncePer } from '../../oncePer';
import { because, type Reason } from '../../reasons';
import { woundAreaM2 } from '../../spool/spoolGeometry';
import { lengthByHandM, type FigureKind } from '../../worth/enough';
import { loadFigure, type LoadGoal } from '../../worth/loadFigures';
import { loadMeasurements } from '../../worth/loadMeasurements';
import { productFigure } from '../../worth/shareFigures';
import type { RigView } from '../view/rigView';
import { usualWalkM } from '../count/adviceForRig';
import { workingRangeOf } from '../line/workingRange';
import { plannedEstimate } from '../counter/counterEvidence';
import { growthInReach } from '../drag/growthInReach';
import { weakestHolds } from '../drag/weakestHolds';
import { leverOfRig } from '../drag/leverOfRig';
import { plannedLevelM } from '../line/fillOfRig';
import { guideFactor, strengthFactors } from './strengthFactors';
import { loadToMeasure } from './loadToMeasure';
import { named, type RigFigure } from './rigFigure';

export interface RigFigures {
  readonly figures: readonly RigFigure[];
  /** What has to be answered before anything more is measured, or null. */
  readonly first: Reason | null;
}

/** The share of strength that a drag is set to while nobody has chosen another (common practice). */
const USUAL_FRACTION = 0.25;
/** The usual bend of a rod with a fish (rad). */
const USUAL_BEND_RAD = Math.PI / 3;

/**
 * The figures of a rig that people act by, as far as they are there: the length to wind on or the level of a plan; of a load the
 * counter; the weakest place, the target and where the lever stands for it.
 */
export const figuresOfRig = oncePer((view: RigView): RigFigures => {
  const { record, current, ruler } = view;
  const isWound = current.state === 'wound' && record.load?.status === 'wound';
  const figures = [...(isWound ? ofCounter(view) : ofPlan(view)), ...ofStrength(view), ...ofLever(view)];
  const [conflict] = ruler.conflicts;
  const first =
    record.openTrials.length > 0
      ? because('measure-answer-trial')
      : conflict
        ? because('measure-answer-conflict', { of: conflict.observation.name })
        : null;
  return { figures, first };
});

/** What is not on yet: the length that is worked out, else the level. */
function ofPlan(view: RigView): readonly RigFigure[] {
  const { record, current } = view;
  const estimate = plannedEstimate(record, current, []);
  const free = record.segments.find((segment) => segment.lengthM === null);
  const goal: LoadGoal = free
    ? { kind: 'length', segmentId: free.id, levelBelowRimM: plannedLevelM(record) }
    : { kind: 'level' };
  const figure = loadFigure(estimate, goal);
  if (!figure) return [];
  const measurements = loadMeasurements(loadToMeasure(record, estimate));
  const solved = current.line.segments.find((segment) => segment.id === free?.id);
  const { fullDiameterM, spool } = current.line;
  const byHandM = solved
    ? lengthByHandM({ fullDiameterM, widthM: spool.widthM }, woundAreaM2(solved.lineDiameterM, solved.packing))
    : 0;
  return [named(view, { ...figure, kind: goal.kind, of: solved?.name ?? '', atM: null, measurements }, byHandM)];
}

/** The counter where it is known least over the working range, against what is enough there. */
function ofCounter(view: RigView): readonly RigFigure[] {
  const { record, counter } = view;
  if (!counter) return [];
  const { fromM, toM } = workingRangeOf(record, counter.best.line.woundLengthM);
  const measurements = loadMeasurements(loadToMeasure(record, counter));
  const places = [...new Set([fromM, usualWalkM(counter.best.line), toM])].filter((atM) => atM > 0);
  const figures = places.flatMap((atM) => {
    const figure = loadFigure(counter, { kind: 'counter', atM });
    return figure ? [named(view, { ...figure, kind: 'counter', of: '', atM, measurements })] : [];
  });
  return figures.toSorted((a, b) => b.plusMinus / b.enough - a.plusMinus / a.enough).slice(0, 1);
}

/** The weakest place, and a drag set from it: at the tip, and straight off the reel. */
function ofStrength(view: RigView): readonly RigFigure[] {
  const { record, inReach } = view;
  if (!inReach) return [];
  const { weakest } = inReach;
  const factors = strengthFactors(record, weakest);
  const figure = (kind: FigureKind, value: number, of: string, parts: typeof factors): RigFigure =>
    named(view, { kind, of, value, atM: null, ...productFigure(value, parts) });
  const target = dragTarget(
    weakest.strengthN,
    record.dragAim?.fraction ?? USUAL_FRACTION,
    record.reel.dragLimitN,
    weakestHolds(record, inReach),
    growthInReach(record, view.current.line, view.reach),
  );
  const weakestN = figure('strength', weakest.strengthN.value, weakest.name, factors);
  // What a maker's limit holds down does not hang on the strength any more.
  if (!target.ok || target.value.limitedToN !== null) return [weakestN];
  const guide = guideFactor(record, USUAL_BEND_RAD);
  const targetN = target.value.targetN.value;
  // Nobody sets the drag of a reel that is not loaded.
  if (record.load?.status !== 'wound') return [weakestN];
  return [
    weakestN,
    figure('target', targetN, '', factors),
    figure('straight', targetN / guide.value, '', [...factors, guide]),
  ];
}

/** Where the lever stands for the target. */
function ofLever(view: RigView): readonly RigFigure[] {
  const { record } = view;
  if (record.reel.dragKind !== 'lever') return [];
  const { curve } = leverOfRig(record);
  const target = ofStrength(view).find((figure) => figure.kind === 'target');
  const place = curve.ok && target ? leverPlace(curve.value, target.value) : null;
  if (!place) return [];
  // Two pulls of one place are worth more than one: by the root of two, as far as they go.
  const relativeSd = place.plusMinus / PLUS_MINUS_SDS / place.position;
  const figure = productFigure(place.position, [
    {
      relativeSd,
      relativeSdAfter: relativeSd * Math.sqrt(place.pulls / (place.pulls + 1)),
      measurement: { kind: 'lever-pull', of: record.id, name: record.name, atM: null },
    },
  ]);
  return [named(view, { kind: 'lever', of: '', value: place.position, atM: null, ...figure })];
}
