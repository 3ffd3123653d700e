'use client';

import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { depthAsFigure } from '@/core/rig/worth/depthOfRig';
import { weighFigures } from '@/core/rig/worth/weighFigures';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthToNarrow } from '@/core/tow/depthToNarrow';
import { NEARLY } from '@/core/worth/enough';
import { measureNext } from '@/core/worth/measureNext';
import { minutesFor } from '@/core/worth/minutes';
import { ENOUGH_WORDS, measurementWords, plusMinusWords } from '@/words/measuring';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import { MeasureFigures } from '@/components/worth/MeasureNextInside';

/** What would narrow a depth most for its minutes, in one sentence; the other ways behind it. */
export function NarrowDepth({ view, narrow }: { view: RigView; narrow: DepthToNarrow }) {
  const { format } = useUnits();
  // An address may name the measurement that is to be begun.
  const meant = useSearchParams().get('measure');
  const [shows, setShows] = useState(meant !== null);
  const figure = useMemo(() => depthAsFigure(view, narrow), [view, narrow]);
  const options = useMemo(
    () => (figure ? measureNext([figure], minutesFor(view.record.minutes)) : []),
    [figure, view.record.minutes],
  );
  // Every set of measurements is looked at only for who asks for the other ways.
  const weighed = useMemo(
    () => (figure && shows ? weighFigures([figure], view.record) : []),
    [figure, shows, view.record],
  );
  if (!figure) return null;
  const [next] = options;
  const after = next?.narrows[0]?.plusMinusAfter;
  if (figure.plusMinus <= NEARLY * figure.enough || !next || after === undefined)
    return (
      <p className="text-sm">
        {figure.plusMinus <= NEARLY * figure.enough
          ? `Measuring more is not worth it: ${ENOUGH_WORDS[figure.because]}.`
          : 'Nothing that is left to measure would narrow it.'}
      </p>
    );
  return (
    <div>
      <div className="flex flex-wrap items-center gap-x-3">
        <p className="min-w-48 grow basis-80">
          <b>Next:</b> {measurementWords(next, format)}, {Math.round(10 * next.minutes) / 10} min. The ± falls to about{' '}
          <b className="figures">{plusMinusWords('depth', after, format).replace('± ', '')}</b>.
        </p>
        <Button weight="quiet" aria-expanded={shows} onClick={() => setShows(!shows)}>
          {options.length > 1 ? `Other ways (${options.length - 1})` : 'How'}
        </Button>
      </div>
      {shows && <MeasureFigures weighed={weighed} isOpen />}
    </div>
  );
}
