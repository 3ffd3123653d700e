import { oncePer } from '../../oncePer';
import type { RigRecord } from '../../record/record';

/**
 * The rig as the winding bench sees it: a load that has begun to be made stands in place of the one that is still on, with the
 * joins that are planned for it. Nothing that was measured on the old one is of it.
 */
export const atBench = oncePer((record: RigRecord): RigRecord =>
  record.making
    ? {
        ...record,
        load: record.making,
        making: null,
        joins: record.planJoins,
        trials: [],
        openTrials: [],
        lineMarks: [],
        leverPoints: [],
      }
    : record,
);

/** True while a load is being wound, whether anything of it is on or not. */
export const isBeingWound = (record: RigRecord): boolean => atBench(record).load?.status === 'winding';
