'use client';

import dynamic from 'next/dynamic';
import { useMemo, type ComponentProps } from 'react';
import { schoolsFor } from '@/core/joins/schools';
import { linesOfJoin } from '@/core/rig/joins/linesOfJoin';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';
import { SCHOOL_NAMES } from '@/words/hands';
import { placeWords } from './joinLines';

/** Loaded when it is first opened. */
const TieGuide = dynamic(() => fetched(() => import('./TieGuide')).then(({ TieGuide: loaded }) => loaded), {
  ssr: false,
});

/** One join, tied step by step. */
export function TieCard(props: ComponentProps<typeof TieGuide>) {
  const { record } = useRig();
  const { join } = props;
  const schools = useMemo(() => schoolsFor(join.kind, linesOfJoin(record, join)), [record, join]);
  const [school, ...others] = schools;
  if (!school) return null;
  const more = others.length === 0 ? '' : `, or ${others.length} other way${others.length === 1 ? '' : 's'}`;
  return (
    <CollapsibleCard
      id="tie"
      title={`Tie: ${placeWords(record, join)}`}
      line={`${SCHOOL_NAMES[school.id]}, ${school.steps.length} steps${more}`}
    >
      <TieGuide {...props} />
    </CollapsibleCard>
  );
}
