'use client';

import { ticks } from 'd3-array';
import { useMemo } from 'react';
import type { ReadingThere } from '@/core/rig/count/readingsAt';
import { backOffOfRig, type EasedBy, type HandBackOff } from '@/core/rig/drag/backOffOfRig';
import type { RigView } from '@/core/rig/view/rigView';
import { fromSi, toSi } from '@/core/units/units';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Formatter } from '@/words/format';

/** Round lengths up to an end, in the reader's unit, as metres; the first is where something is out. */
export function roundLengths(endM: number, unit: string, count: number): readonly number[] {
  return ticks(0, fromSi('length', endM, unit), count)
    .map((value) => toSi('length', value, unit))
    .filter((lengthM) => lengthM > 0 && lengthM <= endM);
}

/** "142", "142, lap 2": what the counter shows, and how often it has come round; without one turns of the spool. */
export function readingWords({ shown, laps, plusMinus, isCounter }: ReadingThere): string {
  const open = ` ± ${plusMinus < 10 ? plusMinus.toFixed(1) : Math.round(plusMinus)}`;
  return `${shown}${isCounter ? '' : ' turns'}${laps > 0 ? `, lap ${laps + 1}` : ''}${open}`;
}

/** What the hand does at a row, by what this reel has. */
export function easeWords(by: EasedBy, row: HandBackOff, format: Formatter): string {
  if (by === 'lever') {
    return row.lever === null ? 'out of its sweep' : format.wholePercent(row.lever.position, row.lever.plusMinus);
  }
  const turns = row.starTurns;
  if (!turns) return format.wholePercent(row.easeTo, row.easeToPlusMinus);
  return `${Math.abs(turns.value).toFixed(2)} ± ${turns.plusMinus.toFixed(2)}`;
}

const HEADS: Readonly<Record<EasedBy, string>> = {
  lever: 'lever at',
  star: 'turns of the star, looser',
  scale: 'of the setting',
};

/** How to ease the drag as line leaves, by what the hand has. */
export function BackOffCard({ view, forceN }: { view: RigView; forceN: number }) {
  const { units, format } = useUnits();
  const { outM } = view.reach;
  const { by, rows } = useMemo(
    () => backOffOfRig(view, forceN, roundLengths(outM, units.length, 6)),
    [view, forceN, outM, units.length],
  );
  return (
    <Card title="Back off as line leaves">
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 pr-3">{view.counter ? 'counter' : 'spool'}</th>
            <th className="py-1 pr-3">line out</th>
            <th className="py-1 pr-3">left alone</th>
            <th className="py-1">{HEADS[by]}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.lengthOutM} className="border-b border-edge">
              <td className="figures py-1 pr-3">{readingWords(row.reading)}</td>
              <td className="figures py-1 pr-3">{format.length(row.lengthOutM)}</td>
              <td className="figures py-1 pr-3">{format.force(row.leftAloneN, row.plusMinusN)}</td>
              <td className="figures py-1">{easeWords(by, row, format)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-2 text-sm">
        {by === 'scale'
          ? `With so much out a scale at the tip should again show ${format.force(forceN)}. Hands cannot set a share: pull the lever at its places, or tell the turns of the star while you set it, and it stands here.`
          : `Each keeps ${format.force(forceN)} at the tip. ${by === 'star' ? 'Turns by this reel’s own pulls, from where it is set.' : 'By this lever’s own pulls.'}`}
      </p>
    </Card>
  );
}
