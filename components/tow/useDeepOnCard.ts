'use client';

import type { Formatter } from '@/words/format';
import { useRig } from '@/components/rig/RigProvider';
import { useReady } from '@/components/ui/useReady';
import { depthAlong } from './depthsAlong';
import { knots } from './towedWords';
import { useDepth } from './useDepth';

/** What a card says of depth: at the speed that the rig is towed at; null where nobody has said how, or its dive is not known. */
export function useDeepOnCard(format: Formatter) {
  const { record, view } = useRig();
  const isReady = useReady();
  const depth = useDepth(isReady && record.towed && record.load?.status === 'wound' ? view : null, null, null);
  if (!depth?.answer || depth.rig.isDiveOpen) return null;
  const { question, answer, rig } = depth;
  const { lengthsM, speedMS, mostM } = question;
  const stop = answer.stop.ok ? answer.stop.value : null;
  const { seen } = answer.learned;
  return {
    speedMS,
    at: (lengthOutM: number): string => {
      const here = lengthOutM <= mostM ? depthAlong(lengthsM, answer.along, lengthOutM) : null;
      // Its unit stands in the head of the column.
      return here && here.value >= 0.05 ? format.length(here.value, here.plusMinus).replace(/ \D+$/, '') : '';
    },
    foot: [
      `Deep with ${rig.towed.lure} at ${knots(speedMS)} through the water, ${seen === 0 ? 'by physics alone: no depth was seen yet' : `tuned to ${seen} seen`}.`,
      ...(stop
        ? [
            `With ${format.length(stop.lengthOutM)} out, 0.1 kn faster is ${format.length(Math.abs(stop.perTenthKnotM))} ${stop.perTenthKnotM < 0 ? 'shallower' : 'deeper'}.`,
          ]
        : []),
    ],
  };
}
