'use client';

import { useEffect } from 'react';
import type { RigView } from '@/core/rig/view/rigView';
import type { Formatter } from '@/words/format';
import { depthAlong } from './depthsAlong';
import { knots } from './towedWords';
import { useDepth, type Depth } from './useDepth';

/** What a card says of depth, at the speed that the rig is towed at. */
export interface DeepOnCard {
  /** Head of its column, without the unit. */
  readonly at: string;
  /** Depth with a length out (m), in the unit of the head; empty where the tip lifts the lure out. */
  readonly with: (lengthOutM: number) => string;
  readonly foot: readonly string[];
}

/** Under this nothing is deep: the tip holds the lure at the surface (m). */
const DEEP_M = 0.05;

/** Works the depth of a towed rig out beside its card, and tells it when it is there; draws nothing. */
export function DeepOnCard({
  view,
  format,
  onDeep,
}: {
  view: RigView;
  format: Formatter;
  onDeep: (deep: DeepOnCard | null) => void;
}) {
  const { rig, question, answer } = useDepth(view, null, null);
  useEffect(() => {
    onDeep(answer && !rig.isDiveOpen ? deepOf({ rig, question, answer }, format) : null);
  }, [rig, question, answer, format, onDeep]);
  return null;
}

type Answered = Pick<Depth, 'rig' | 'question'> & { readonly answer: NonNullable<Depth['answer']> };

function deepOf({ rig, question, answer }: Answered, format: Formatter): DeepOnCard {
  const { lengthsM, speedMS, mostM } = question;
  const stop = answer.stop.ok ? answer.stop.value : null;
  const { seen } = answer.learned;
  return {
    at: knots(speedMS),
    with: (lengthOutM) => {
      const here = lengthOutM <= mostM ? depthAlong(lengthsM, answer.along, lengthOutM) : null;
      // Its unit stands in the head of the column.
      return here && here.value >= DEEP_M ? format.length(here.value, here.plusMinus).replace(/ \D+$/, '') : '';
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
