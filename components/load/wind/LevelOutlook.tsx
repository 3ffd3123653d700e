'use client';

import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Winding } from './useWinding';

/** A level off by less (m) is what whole counts leave open. */
const WORTH_SAYING_M = 0.0002;

/** Where the level will end by what was noted so far, what gave way for it, and what a person may agree to instead. */
export function LevelOutlook({ winding }: { winding: Winding }) {
  const { format } = useUnits();
  const { outlook } = winding;
  if (!outlook) return null;
  const { changed, offer, mustAsk, levelBelowRimM: levelM, levelPlusMinusM, plannedLevelBelowRimM: plannedM } = outlook;
  const isOff = Math.abs(levelM - plannedM) >= WORTH_SAYING_M;
  const level = `${format.small(Math.abs(levelM), levelPlusMinusM)} ${levelM >= 0 ? 'under' : 'above'} the rim`;
  return (
    <div
      className={`mt-2 border-l-4 pl-3 text-sm ${mustAsk ? 'border-stop' : 'border-rule'}`}
      aria-live="polite"
      role="group"
      aria-label="Where the level will end"
    >
      {changed && (
        <p>
          <b>Solved again:</b> {changed.name} is now {format.length(changed.toM)}, not {format.length(changed.fromM)},
          so that the level still ends {level}.
        </p>
      )}
      {!changed && !isOff && <p>As planned: the level will end {level}.</p>}
      {!changed && isOff && (
        <p>
          <b>The level will end {level},</b> not {format.small(plannedM)}
          {mustAsk ? ': higher than line stays on. Nothing more goes on before a length is changed.' : '.'}{' '}
          {offer ? `${offer.name} stays ${format.length(offer.fromM)}, as it was typed.` : 'No length can give way.'}
        </p>
      )}
      {!changed && isOff && offer && (
        <Button
          className="mt-1"
          weight={mustAsk ? 'main' : 'plain'}
          disabled={winding.busy}
          onClick={() => void winding.agree()}
        >
          {offer.name}: {format.length(offer.fromM)} becomes {format.length(offer.toM)}
          {offer.isPiece ? ', cut' : ''}, to meet the level
        </Button>
      )}
    </div>
  );
}
