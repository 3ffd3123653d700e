'use client';

import { productStrength, PULLS_FOR_A_MEAN } from '@/core/rig/strengthOfRig';
import { gainOfMorePulls, lowerBound } from '@/core/strength/lowerBound';
import type { PullSummary } from '@/core/strength/summarisePulls';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';

/** Pulls by which a person usually goes on. */
const MORE = 3;

/** The lines of a rig, label against pulled: a plain sentence for each, the figures behind it. */
export function Lines({ ids }: { ids: readonly string[] }) {
  const { record } = useRig();
  const { format } = useUnits();
  return (
    <>
      <ul className="mb-3 flex flex-col gap-1">
        {ids.map((id) => {
          const { product, summary } = productStrength(record, id);
          return (
            <li key={id} className="text-sm">
              <b>{product.name}</b>: {summary ? boundWords(summary, format.force) : 'not pulled yet.'}
            </li>
          );
        })}
      </ul>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Lines of this rig">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-3">line</th>
              <th className="py-1 pr-3">label</th>
              <th className="py-1 pr-3">pulls</th>
              <th className="py-1 pr-3">mean ± 95 %</th>
              <th className="py-1 pr-3">spread (SD)</th>
              <th className="py-1">of label</th>
            </tr>
          </thead>
          <tbody>
            {ids.map((id) => {
              const { product, summary } = productStrength(record, id);
              return (
                <tr key={id} className="border-b border-edge">
                  <td className="py-1.5 pr-3">{product.name}</td>
                  <td className="figures py-1.5 pr-3 whitespace-nowrap">
                    {product.labelStrengthN === null ? 'none' : format.force(product.labelStrengthN)}
                  </td>
                  <td className="figures py-1.5 pr-3">{summary?.n ?? 0}</td>
                  <td className="figures py-1.5 pr-3 whitespace-nowrap">
                    {!summary
                      ? 'not pulled yet'
                      : summary.n < PULLS_FOR_A_MEAN
                        ? `not enough yet (${format.force(summary.meanN)})`
                        : format.force(summary.meanN, summary.meanPlusMinusN ?? 0)}
                  </td>
                  <td className="figures py-1.5 pr-3 whitespace-nowrap">
                    {summary?.sdN == null ? '' : format.force(summary.sdN)}
                  </td>
                  <td className="figures py-1.5">
                    {summary?.labelRatio == null ? '' : format.percent(summary.labelRatio)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-xs text-ink-soft">
        The bound assumes normal scatter. On lots with a tail of weak pieces (Weibull, shape 15 to 40) it held in 82 to
        91 of 100 simulated lots instead of 95, and in fewer the more pulls there were. It speaks of pieces as long as
        those between the grips; longer line is weaker.
      </p>
    </>
  );
}

function boundWords(summary: PullSummary, force: (valueN: number) => string): string {
  const bound = lowerBound(summary);
  if (!bound.ok) return `${bound.message}${bound.reason === 'too-few' ? ' Until then no bound can be said.' : ''}`;
  const gain = gainOfMorePulls(summary, MORE) ?? 0;
  return `95 of 100 such pieces should hold ${force(bound.value.boundN)}; ${MORE} more pulls like these would raise that by about ${force(gain)}.`;
}
