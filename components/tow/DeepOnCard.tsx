'use client';

import { useEffect } from 'react';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi } from '@/core/units/units';
import type { Formatter } from '@/words/format';
import { DEEP_M, depthAlong } from './depthsAlong';
import { knots } from './towedWords';
import { useDepth, type Depth } from './useDepth';

/** What a card says of depth: slower, at the speed that the rig is towed at, and faster. */
export interface DeepOnCard {
  /** Heads of its columns: the speeds. */
  readonly heads: readonly string[];
  /** Depths with a length out (m) at each of them, without the unit; empty where the tip lifts the lure out. */
  readonly with: (lengthOutM: number) => readonly string[];
  readonly foot: readonly string[];
}

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
  const { rig, question, answer, curves } = useDepth(view, null, null);
  useEffect(() => {
    onDeep(answer && curves && !rig.isDiveOpen ? deepOf({ rig, question, answer, curves }, format) : null);
  }, [rig, question, answer, curves, format, onDeep]);
  return null;
}

type Answered = Pick<Depth, 'rig' | 'question'> & {
  readonly answer: NonNullable<Depth['answer']>;
  readonly curves: NonNullable<Depth['curves']>;
};

function deepOf({ rig, question, answer, curves }: Answered, format: Formatter): DeepOnCard {
  const { lengthsM, speedMS, mostM } = question;
  const stop = answer.stop.ok ? answer.stop.value : null;
  const { seen } = answer.learned;
  const [slower, faster] = curves.beside;
  const speeds = [slower, { speedMS, along: curves.along }, faster].filter((each) => each !== undefined);
  return {
    heads: speeds.map((each) => knots(each.speedMS)),
    with: (lengthOutM) =>
      speeds.map(({ along }) => {
        const deep = lengthOutM <= mostM ? depthAlong(lengthsM, along, lengthOutM) : null;
        if (!deep || deep.value < DEEP_M) return '';
        // Its unit stands in the foot, and a column has room for a tenth.
        const [shown, open] = [deep.value, deep.plusMinus].map((each) => fromSi('length', each, format.units.length));
        const digits = (open ?? 0) < 10 ? 1 : 0;
        return `${shown?.toFixed(digits)}±${open?.toFixed(digits)}`;
      }),
    foot: [
      `Under the knots: how deep, in ${format.units.length}, with ${rig.towed.lure}; through the water, ${seen === 0 ? 'by physics alone: no depth was seen yet' : `tuned to ${seen} seen`}.`,
      ...(stop
        ? [
            `With ${format.length(stop.lengthOutM)} out, 0.1 kn faster is ${format.length(Math.abs(stop.perTenthKnotM))} ${stop.perTenthKnotM < 0 ? 'shallower' : 'deeper'}.`,
          ]
        : []),
    ],
  };
}
