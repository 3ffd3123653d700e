'use client';

import dynamic from 'next/dynamic';
import type { FigureKind } from '@/core/worth/enough';
import { CardBoundary } from '@/components/ui/CardBoundary';
import { fetched } from '@/components/ui/fetched';
import { Weighing } from './Weighing';

/** Weighed when the page stands, and away from it: the figure above does not wait for it. */
const Inside = dynamic(
  () => fetched(() => import('./MeasureNextInside')).then(({ MeasureNextInside: loaded }) => loaded),
  {
    ssr: false,
    loading: () => <Weighing />,
  },
);

/**
 * Where a figure stands: which measurement would narrow its ± most for its minutes, before it is made; or that more is not worth it.
 *
 * @param kinds of the figures above
 */
export function MeasureNext({ kinds }: { kinds: readonly FigureKind[] }) {
  return (
    <CardBoundary title="What to measure next">
      <Inside kinds={kinds} />
    </CardBoundary>
  );
}
