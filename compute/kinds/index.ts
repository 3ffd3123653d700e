import type { ComputeKind } from '../kind';
import { dragTarget } from './dragTarget';
import { loadPlan } from './loadPlan';
import { payoutTable } from './payoutTable';
import { strengthSummary } from './strengthSummary';

export const COMPUTE_KINDS: readonly ComputeKind[] = [loadPlan, payoutTable, strengthSummary, dragTarget];
