import { expose } from 'comlink';
import type { RigRecord } from '@/core/record/record';
import { rigView } from '@/core/rig/view/rigView';
import { weighRig, type Weighed } from '@/core/rig/worth/weighFigures';
import type { FigureKind } from '@/core/worth/enough';

const worker = {
  weigh: (record: RigRecord, kinds: readonly FigureKind[]): Weighed | null => {
    const view = rigView(record);
    return view && weighRig(view, kinds);
  },
};

export type WorthWorker = typeof worker;

expose(worker);
