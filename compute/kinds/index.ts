import type { ComputeKind } from '../kind';
import { calibrate } from './calibrate';
import { correctionTable } from './correctionTable';
import { cutList } from './cutList';
import { dragTarget } from './dragTarget';
import { loadPlan } from './loadPlan';
import { payoutTable } from './payoutTable';
import { reelFit } from './reelFit';
import { sameLine } from './sameLine';
import { strengthSummary } from './strengthSummary';

export const COMPUTE_KINDS: readonly ComputeKind[] = [
  loadPlan,
  payoutTable,
  reelFit,
  cutList,
  calibrate,
  correctionTable,
  strengthSummary,
  sameLine,
  dragTarget,
];
