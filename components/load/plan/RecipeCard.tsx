'use client';

import dynamic from 'next/dynamic';
import type { ComponentProps } from 'react';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./RecipeCardInside')).then(({ RecipeCardInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

type Props = ComponentProps<typeof Inside>;

/** A stack in counts of somebody else's counter, turned into true lengths. */
export function RecipeCard(props: Props) {
  return (
    <CollapsibleCard id="recipe" title="Convert a recipe" line="counts of another reel, as true lengths">
      <Inside {...props} />
    </CollapsibleCard>
  );
}
