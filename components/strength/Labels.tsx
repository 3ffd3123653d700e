'use client';

import { useMemo } from 'react';
import { labelsCompared } from '@/core/rig/strength/labelsCompared';
import { productStrength } from '@/core/rig/strength/strengthOfRig';
import { fittingClass } from '@/core/strength/lineClass';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';

/** Spools that hold the same line under two labels, and the class that a tested line fits. */
export function Labels({ ids }: { ids: readonly string[] }) {
  const { record } = useRig();
  const { format } = useUnits();
  const pairs = useMemo(() => labelsCompared(record), [record]);
  const found = pairs.filter((pair) => pair.found.verdict === 'same').length;
  return (
    <CollapsibleCard
      id="labels"
      title="Labels and classes"
      line={`${found === 0 ? 'no two lines of this boat' : `${found} pair${found === 1 ? '' : 's'} of lines`} told to be the same; the class that each line fits`}
    >
      {pairs.length === 0 ? (
        <p className="text-sm">No two tested lines of this boat look alike by their pulls.</p>
      ) : (
        <ul className="flex flex-col gap-2 text-sm">
          {pairs.map(({ first, second, found: same, labelsDiffer, thickness }) => (
            <li key={`${first.id} ${second.id}`} className="border-l-4 border-rule pl-3">
              <b>
                {first.name} and {second.name}
              </b>
              : {same.verdict === 'same' ? 'the same line by their pulls' : 'not enough pulls to tell'}
              {labelsDiffer && ', under two labels'}. One holds{' '}
              <span className="figures">
                {same.ratio.toFixed(3)} ({same.low.toFixed(3)} to {same.high.toFixed(3)})
              </span>{' '}
              times the other.
              {` Their thicknesses are ${thickness.ratio.toFixed(2)} to one, which ${thickness.canBeSame ? 'lets them be one line' : 'speaks against it'}.`}
              {same.verdict !== 'same' &&
                ` At this scatter about ${same.pullsNeeded} pulls of each would decide; measure their thickness too.`}
            </li>
          ))}
        </ul>
      )}
      <ul className="mt-3 flex flex-col gap-1 text-sm">
        {ids.map((id) => {
          const { product, summary, condition } = productStrength(record, id);
          const fit = summary && fittingClass(summary);
          if (!fit) return null;
          return (
            <li key={id}>
              <b>{product.name}</b>: by {summary.n} {condition} pulls its mean strength is at most{' '}
              {format.force(fit.upperN)} (95 % sure; single pieces may hold more), so by its mean it{' '}
              {fit.classKg === null ? 'is above the heaviest class, 60 kg' : `stays under the ${fit.classKg} kg class`}.
              {condition !== 'soaked' &&
                product.material === 'nylon' &&
                ' Wet it holds 10 to 15 % less (from memory): soak and pull it for the class.'}
            </li>
          );
        })}
      </ul>
      <p className="mt-2 text-xs text-ink-soft">
        Classes count for wet line: 1, 2, 3, 4, 6, 8, 10, 15, 24, 37 and, the heaviest, 60 kg. The record body&apos;s
        own test and its rules decide.
      </p>
    </CollapsibleCard>
  );
}
