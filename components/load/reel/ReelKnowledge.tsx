'use client';

import dynamic from 'next/dynamic';
import type { RigRecord } from '@/core/record/record';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';
import { ReelFacts } from './ReelFacts';

/** Loaded when it is first opened. */
const Inside = dynamic(
  () => fetched(() => import('./ReelKnowledgeInside')).then(({ ReelKnowledgeInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

function depthWords({ depth, loadsSeen }: RigRecord['knowledge']): string {
  if (depth === 'ratings') return "by the maker's ratings; dimensions are guesses until it is measured or loaded";
  if (depth === 'measured') return 'by caliper; its first load will teach more';
  return `from ${loadsSeen} ${loadsSeen === 1 ? 'load' : 'loads'} of this reel, and its lines on others`;
}

/** What is known of this reel and its lines, and by which evidence. */
export function ReelKnowledge() {
  const { record } = useRig();
  return (
    <CollapsibleCard id="reel-known" title="How this reel is known" line={depthWords(record.knowledge)}>
      <ReelFacts />
      <Inside />
    </CollapsibleCard>
  );
}
