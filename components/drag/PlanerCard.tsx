'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./PlanerCardInside')).then(({ PlanerCardInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** A planer by feel: where the lever stops its creep. */
export function PlanerCard(props: ComponentProps<typeof Inside>) {
  const looks = props.view.record.planerLooks;
  const last = looks.at(-1);
  const line = last
    ? `${last.planer}: ${looks.filter((look) => look.planer === last.planer).length} looks so far`
    : 'by what you see of it in tow: no scale needed';
  return (
    <CollapsibleCard id="planer" title="A planer" line={line}>
      <Inside {...props} />
    </CollapsibleCard>
  );
}
