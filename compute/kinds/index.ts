import type { ComputeKind } from '../kind';
import { breakChance } from './breakChance';
import { calibrate } from './calibrate';
import { chooseJoin } from './chooseJoin';
import { correctionTable } from './correctionTable';
import { cutList } from './cutList';
import { dragEnvelope } from './dragEnvelope';
import { dragTarget } from './dragTarget';
import { leverCurve } from './leverCurve';
import { lineForDepth } from './lineForDepth';
import { loadPlan } from './loadPlan';
import { measureNext } from './measureNext';
import { payoutTable } from './payoutTable';
import { planerBracket } from './planerBracket';
import { reelFit } from './reelFit';
import { rigStrength } from './rigStrength';
import { sameLine } from './sameLine';
import { strengthSummary } from './strengthSummary';
import { surge } from './surge';
import { towProfile } from './towProfile';
import { trace } from './trace';

export const COMPUTE_KINDS: readonly ComputeKind[] = [
  loadPlan,
  payoutTable,
  reelFit,
  cutList,
  calibrate,
  correctionTable,
  strengthSummary,
  sameLine,
  rigStrength,
  trace,
  chooseJoin,
  breakChance,
  dragTarget,
  dragEnvelope,
  leverCurve,
  planerBracket,
  surge,
  towProfile,
  lineForDepth,
  measureNext,
];
