'use client';

import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { expectedBreak, familyPattern } from '@/core/rig/strength/expectedBreak';
import { productStrength } from '@/core/rig/strength/strengthOfRig';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';

/** Label against true over all sizes of one product: its pattern, and what an untested size should hold. */
export function Families() {
  const { record } = useRig();
  const families = [...new Set(record.products.map((product) => product.family))].filter((name) => name !== '');
  return (
    <CollapsibleCard
      id="families"
      title="Families of lines"
      line={families.length === 0 ? 'no line says of which product it is' : families.join(', ')}
    >
      {families.length === 0 ? (
        <p className="text-sm">
          Give the sizes of one product a common name under Reels and lines: what one size holds then tells on the
          others.
        </p>
      ) : (
        families.map((family) => <Family key={family} family={family} />)
      )}
    </CollapsibleCard>
  );
}

function Family({ family }: { family: string }) {
  const { record } = useRig();
  const { format } = useUnits();
  const pattern = familyPattern(record, family);
  const sizes = record.products
    .filter((product) => product.family === family)
    .toSorted((a, b) => (a.labelStrengthN ?? 0) - (b.labelStrengthN ?? 0));
  return (
    <div className="mb-4">
      <h3 className="lettered">{family}</h3>
      <p className="text-sm">
        {pattern
          ? `${pattern.sizes.length} sizes show a pattern: the label's share never rises with size, and single sizes depart from it by ${format.percent(pattern.relativeSd)}.`
          : 'Two tested sizes show a pattern; so far each stands alone.'}
      </p>
      <table className="mt-1 w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 pr-3">size</th>
            <th className="py-1 pr-3">label</th>
            <th className="py-1 pr-3">pulled</th>
            <th className="py-1 pr-3">of label</th>
            <th className="py-1">pattern</th>
          </tr>
        </thead>
        <tbody>
          {sizes.map((product) => {
            const { summary } = productStrength(record, product.id);
            const likely = summary ? null : expectedBreak(record, product);
            const fitted = pattern?.sizes.find((size) => size.labelN === product.labelStrengthN)?.fitted;
            return (
              <tr key={product.id} className="border-b border-edge">
                <td className="py-1 pr-3">{product.name}</td>
                <td className="figures py-1 pr-3">
                  {product.labelStrengthN === null ? 'none' : format.force(product.labelStrengthN)}
                </td>
                <td className="figures py-1 pr-3">
                  {summary
                    ? `${format.force(summary.meanN)} (${summary.n})`
                    : likely
                      ? `${format.force(likely.valueN.value, PLUS_MINUS_SDS * likely.valueN.sd)}, predicted`
                      : 'not pulled yet'}
                </td>
                <td className="figures py-1 pr-3">
                  {summary?.labelRatio == null ? '' : format.percent(summary.labelRatio)}
                </td>
                <td className="figures py-1">{fitted === undefined ? '' : format.percent(fitted)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
