'use client';

import type { LoadAdvice } from '@/core/load/loadAdvice';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import type { Formatter } from '@/words/format';

/** Advice on a plan: what, why, with its figures, and ways out. Nothing is shown when there is nothing to say. */
export function AdviceList({ advice }: { advice: readonly LoadAdvice[] }) {
  const { format } = useUnits();
  const say = useSay();
  if (advice.length === 0) return null;
  return (
    <ul className="flex flex-col gap-2" aria-label="Advice on this plan">
      {advice.map((each) => (
        <li
          key={`${each.kind} ${each.segment}`}
          className={`border-l-4 px-3 py-2 text-sm ${each.weight === 'caution' ? 'border-warn bg-warn/10' : 'border-rule bg-paper/50'}`}
        >
          <b>{each.segment ? `${each.segment}: ` : ''}</b>
          {figuresOf(each, format)} {say(each.reason)}
          {each.ways.length > 0 && (
            <details>
              <summary className="flex min-h-11 cursor-pointer items-center font-semibold text-chalk">
                Ways out ({each.ways.length})
              </summary>
              <ul className="list-disc pb-1 pl-5">
                {each.ways.map((way) => (
                  <li key={say(way)}>{say(way)}.</li>
                ))}
              </ul>
            </details>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The figures behind a piece of advice, in the reader's units. */
function figuresOf({ kind, figures }: LoadAdvice, format: Formatter): string {
  const at = (name: string): number => figures[name] ?? NaN;
  switch (kind) {
    case 'thin-backing':
    case 'thin-abrasion':
    case 'thick-backing':
      return `${format.thickness(at('backingM'))} under ${format.thickness(at('aboveM'))}.`;
    case 'bare-arbor':
      return 'it lies on the bare arbor.';
    case 'retail-length':
      return `${format.length(at('lengthM'))} is close to a spool of ${format.length(at('retailM'))} on the shelf.`;
    case 'bulky-lead-core':
      return `it takes ${format.percent(at('share'))} of the spool. ${at('coloursThatFit')} colours fit at most; ${at('coloursForHalf')} would fill half.`;
    case 'overfull':
      return `The level stands ${format.small(Math.abs(at('levelBelowRimM')))} ${at('levelBelowRimM') >= 0 ? 'under' : 'above'} the rim; at least ${format.small(at('leastM'))} of room is usual.`;
    case 'loop-over-reel':
      return `the backing's loop wants about ${format.hand(at('loopM'))} of length, laid flat (a guess from the spool's size).`;
    case 'thick-join':
      return `about ${format.small(at('bulkM'))} thick.`;
  }
}
