'use client';

import { Dialog } from 'radix-ui';
import type { KeyboardEvent } from 'react';
import type { RigView } from '@/core/rig/view/rigView';
import type { LineOut } from '@/core/tow/lineOutFor';
import type { StopFigures } from '@/core/tow/answerDepth';
import { BenchSheet } from '@/components/bench/BenchSheet';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { knots } from './towedWords';
import { useStopWords } from './useStopWords';
import type { Depth } from './useDepth';

/** At the rail, with wet hands: the one reading to stop at. Escape leaves. */
export function StopBench({
  view,
  depth,
  stop,
  onLeave,
}: {
  view: RigView;
  depth: Depth;
  stop: LineOut & StopFigures;
  onLeave: () => void;
}) {
  const { format } = useUnits();
  const words = useStopWords(view, stop.lengthOutM);
  const { value, plusMinus } = stop.depth;
  const onKey = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
  };
  return (
    <BenchSheet onKey={onKey} onLeave={onLeave}>
      <Dialog.Title className="lettered text-2xl sm:text-3xl">Stop at</Dialog.Title>
      <p className="mt-1 text-lg">
        Count from zero with the lure at the water, boat at {knots(depth.question.speedMS)} through the water.
      </p>
      <div className="grow content-center py-3">
        <p className="figures text-7xl leading-none font-bold text-chalk sm:text-[10rem]" data-testid="stop-reading">
          {words.main}
        </p>
        <p className="mt-2 text-xl">{words.what}</p>
        <p className="mt-4 text-3xl">
          <b className="figures">{format.length(value, plusMinus)}</b> deep
        </p>
        <p className="mt-1 text-xl">
          {format.length(stop.setback.value, stop.setback.plusMinus)} behind the tip
          {words.reading?.isCounter && words.colours !== null && words.colours > 0
            ? `, ${quartersWords(words.colours)} out`
            : ''}
        </p>
        {stop.reelInM !== null && (
          <p role="alert" className="mt-3 text-xl font-semibold text-stop">
            Deeper than the water: reel in {format.length(stop.reelInM)}.
          </p>
        )}
        {depth.answer?.learned.seen === 0 && <p className="mt-3 text-lg">No depth was seen with it yet.</p>}
        <p className="mt-3 text-lg">
          0.1 kn faster: {format.length(Math.abs(stop.perTenthKnotM))} {stop.perTenthKnotM < 0 ? 'shallower' : 'deeper'}
          .
        </p>
      </div>
      <Button weight="main" className="min-h-16 text-lg" onClick={onLeave}>
        Leave <kbd className="figures text-sm">Esc</kbd>
      </Button>
    </BenchSheet>
  );
}

const quartersWords = (colours: number): string => `${(Math.round(4 * colours) / 4).toString()} colours`;
