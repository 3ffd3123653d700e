'use client';

import type { ReactNode } from 'react';
import { productStrength, PULLS_FOR_A_MEAN, type ProductStrength } from '@/core/rig/strength/strengthOfRig';
import { lengthFactor } from '@/core/strength/lengthEffect';
import { gainOfMorePulls } from '@/core/strength/lowerBound';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { LIMITS } from '@/usecases/limits';

/** Pulls by which a person usually goes on. */
const MORE = 3;

const HEADS = ['line', 'label', 'pulls', 'mean ± 95 %', 'least to most', 'SD', 'CV', 'of label'] as const;

/** The lines of a rig, label against pulled: a plain sentence for each, the figures behind it. */
export function Lines({ ids }: { ids: readonly string[] }) {
  const { record } = useRig();
  const found = ids.map((id) => productStrength(record, id));
  return (
    <>
      <ul className="mb-3 flex flex-col gap-1">
        {found.map((line) => (
          <li key={line.product.id} className="text-sm">
            <b>{line.product.name}</b>: <BoundWords line={line} />
          </li>
        ))}
      </ul>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Lines of this rig">
        <table className="w-full text-sm">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              {HEADS.map((head) => (
                <th key={head} className="py-1 pr-3">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {found.map((line) => (
              <Figures key={line.product.id} line={line} />
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-xs text-ink-soft">
        The bound assumes normal scatter. On lots with a tail of weak pieces (Weibull, shape 15 to 40) it held in 82 to
        91 of 100 simulated lots instead of 95, and in fewer the more pulls there were. It speaks of pieces as long as
        those between the grips.
      </p>
      <LengthWhatIf lines={found} />
    </>
  );
}

function BoundWords({ line }: { line: ProductStrength }): ReactNode {
  const { format } = useUnits();
  const say = useSay();
  const { summary, bound, condition } = line;
  if (!summary || !bound) return 'not pulled yet.';
  if (!bound.ok) return `${say(bound)}${bound.reason === 'too-few' ? ' Until then no bound can be said.' : ''}`;
  const pieces = `95 of 100 such ${condition} pieces should hold ${format.force(bound.value.boundN)}`;
  if (bound.value.spread === 'pooled') {
    return `${pieces}, if it scatters as your other lines of this material do; where it does not, the bound is too high. Three pulls of its own would tell.`;
  }
  const gain = gainOfMorePulls(summary, MORE) ?? 0;
  return `${pieces}; ${MORE} more pulls like these would raise that by about ${format.force(gain)}.`;
}

function Figures({ line }: { line: ProductStrength }) {
  const { format } = useUnits();
  const { product, summary, condition } = line;
  const cells = [
    product.name,
    product.labelStrengthN === null ? 'none' : format.force(product.labelStrengthN),
    summary ? `${summary.n} ${condition}` : '0',
    !summary
      ? 'not pulled yet'
      : summary.n < PULLS_FOR_A_MEAN
        ? `not enough yet (${format.force(summary.meanN)})`
        : format.force(summary.meanN, summary.meanPlusMinusN ?? 0),
    summary ? `${format.force(summary.minN)} to ${format.force(summary.maxN)}` : '',
    summary?.sdN == null ? '' : format.force(summary.sdN),
    summary?.cv == null ? '' : `${(100 * summary.cv).toFixed(1)} %`,
    summary?.labelRatio == null ? '' : format.percent(summary.labelRatio),
  ];
  return (
    <tr className="border-b border-edge">
      {cells.map((cell, index) => (
        <td key={HEADS[index]} className={`py-1.5 pr-3 ${index === 0 ? '' : 'figures whitespace-nowrap'}`}>
          {cell}
        </td>
      ))}
    </tr>
  );
}

/** Long line is weaker than a short sample: what it would hold, as a stated what-if. */
function LengthWhatIf({ lines }: { lines: readonly ProductStrength[] }) {
  const { record } = useRig();
  const { format } = useUnits();
  const length = useQuantity(`what-if:${record.id}`, 'length', 100, LIMITS.segmentLengthM);
  const tested = lines.filter(({ summary }) => summary !== null && summary.n >= PULLS_FOR_A_MEAN && summary.cv);
  if (tested.length === 0) return null;
  return (
    <div className="mt-3 border-l-4 border-rule pl-3">
      <div className="w-44">
        <QuantityField label="What if it is so long" {...length.field} />
      </div>
      {length.value !== null && (
        <ul className="mt-2 text-sm">
          {tested.map(({ product, summary, gaugeLengthM }) => (
            <li key={product.id}>
              {product.name}: about{' '}
              <b className="figures">
                {format.force(
                  (summary?.meanN ?? 0) * lengthFactor(gaugeLengthM ?? 1, length.value ?? 1, summary?.cv ?? 1),
                )}
              </b>{' '}
              in the mean, against {format.force(summary?.meanN ?? 0)} for {format.length(gaugeLengthM ?? 0)}
            </li>
          ))}
        </ul>
      )}
      <p className="mt-1 text-xs text-ink-soft">
        A what-if and no measurement: it holds where weak places lie along the line by chance, as the law of the weakest
        piece has it with a shape of 1.2 ÷ CV.
      </p>
    </div>
  );
}
