'use client';

import { useMemo } from 'react';
import { countMarks } from '@/core/rig/count/countMarks';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthCurves } from '@/core/tow/answerDepth';
import { roundLengths } from '@/components/drag/BackOffCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { DEEP_M, depthAlong } from './depthsAlong';
import { knots } from './towedWords';
import type { Depth } from './useDepth';

/** Rows of a table of depth: what leaves the tip, what the counter shows then, how deep the lure is, slower and faster too. */
export function useDepthRows(view: RigView, depth: Depth, curves: DepthCurves) {
  const { units, format } = useUnits();
  const { lengthsM, mostM } = depth.question;
  return useMemo(() => {
    const [slower, faster] = curves.beside;
    return countMarks(view, roundLengths(mostM, units.length, 8))
      .filter(({ lengthOutM }) => lengthOutM > 0 && lengthOutM <= mostM)
      .flatMap((mark) => {
        const here = depthAlong(lengthsM, curves.along, mark.lengthOutM);
        if (!here) return [];
        const beside = [slower, faster].map((each) => each && depthAlong(lengthsM, each.along, mark.lengthOutM));
        const name = mark.kind === 'length' ? format.length(mark.lengthOutM) : mark.name;
        return [{ ...mark, name, here, slower: beside[0] ?? null, faster: beside[1] ?? null }];
      });
  }, [view, curves, lengthsM, mostM, units.length, format]);
}

/** Every colour, join and round length: reading and depth at today's speed, and a fifth slower and faster. */
export function DepthTable({ view, depth, curves }: { view: RigView; depth: Depth; curves: DepthCurves }) {
  const { format } = useUnits();
  const rows = useDepthRows(view, depth, curves);
  const [slower, faster] = curves.beside;
  return (
    <table className="w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-left">
          <th className="py-1 pr-3">at the tip</th>
          <th className="py-1 pr-3">{view.counter ? 'counter' : 'turns'}</th>
          <th className="py-1 pr-3">deep</th>
          <th className="py-1 pr-3">{slower && knots(slower.speedMS)}</th>
          <th className="py-1">{faster && knots(faster.speedMS)}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={`${row.kind} ${row.name} ${row.lengthOutM}`} className="border-b border-edge">
            <td className="py-1 pr-3">{row.name}</td>
            <td className="figures py-1 pr-3">{format.counts(row.reading.value, row.reading.plusMinus)}</td>
            {[row.here, row.slower, row.faster].map((deep, column) => (
              <td key={column} className="figures py-1 pr-3">
                {deep && (deep.value >= DEEP_M ? format.length(deep.value, deep.plusMinus) : 'lifted out')}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
