import { piecesOut, surgeFigures, type SurgeFigures, type SurgeSetup, JERK_S } from '../../drag/surge';
import { ERRORS } from '../../measurement/errors';
import { spoolStateAt } from '../../spool/loadedLine';
import type { RigView } from '../view/rigView';
import { DEFAULT_ROD_STIFFNESS, elasticPieces, spoolInertia } from './elasticLine';

/** A drag as it was set with nothing out (N), with the jerk that starts it. */
export interface DragOfRig {
  readonly forceN: number;
  /** Breakaway over moving pull, and whether anybody read it. */
  readonly breakawayRatio: number;
  readonly isJerkRead: boolean;
}

/** What gives way on a rig when a fish jerks with a length out; null while a line's strength is not known. */
export function surgeSetup(view: RigView, drag: DragOfRig, lengthOutM: number): SurgeSetup | null {
  const pieces = elasticPieces(view);
  if (!pieces) return null;
  const { line } = view.current;
  const paidOutM = Math.min(Math.max(lengthOutM - line.handLinedLengthM, 0), line.woundLengthM);
  const { diameterM } = spoolStateAt(line, paidOutM);
  const nowN = (drag.forceN * line.fullDiameterM) / diameterM;
  return {
    pieces: piecesOut(pieces, lengthOutM),
    rodStiffnessNPerM: DEFAULT_ROD_STIFFNESS,
    tensionN: nowN,
    breakawayN: nowN * drag.breakawayRatio,
    radiusM: diameterM / 2,
    inertiaKgM2: spoolInertia(view),
  };
}

/** A surge on a rig with a length out, with its ±. */
export function surgeOfRig(view: RigView, drag: DragOfRig, lengthOutM: number, jerkM: number): SurgeFigures | null {
  const setup = surgeSetup(view, drag, lengthOutM);
  return (
    setup &&
    surgeFigures(setup, jerkM, JERK_S, {
      tensionRelativeSd: ERRORS.dragSetShare.sd,
      isBreakawayRead: drag.isJerkRead,
    })
  );
}

/** A jerk of a fish that a drag is judged by (m; from memory). */
export const USUAL_JERK_M = 1.5;
