'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { planerBracket } from '@/core/drag/planerBracket';
import { useUnits } from '@/components/units/UnitsProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';

/** Loaded when it is first opened. */
const Inside = dynamic(() => import('./PlanerCardInside').then(({ PlanerCardInside: loaded }) => loaded), {
  ssr: false,
});

/** A planer bracketed by what creeps and what holds. */
export function PlanerCard(props: ComponentProps<typeof Inside>) {
  const { planerLooks } = props.view.record;
  const { format } = useUnits();
  const planer = planerLooks.at(-1)?.planer;
  const bracket = planerBracket(planerLooks.filter((look) => look.planer === planer));
  const line = bracket.ok
    ? `${planer}: ${format.force(bracket.value.lowN)} to ${format.force(bracket.value.highN)} at 6 kn, by ${bracket.value.counted} looks`
    : 'what creeps and what holds brackets its pull; nobody pretends to know it beforehand';
  return (
    <CollapsibleCard title="A planer" line={line}>
      <Inside {...props} />
    </CollapsibleCard>
  );
}
