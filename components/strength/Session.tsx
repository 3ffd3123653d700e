'use client';

import dynamic from 'next/dynamic';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const Inside = dynamic(() => fetched(() => import('./SessionInside')).then(({ SessionInside: loaded }) => loaded), {
  ssr: false,
});

/** An afternoon of pulls: planned, then gone through. */
export function Session({ ids }: { ids: readonly string[] }) {
  const { record } = useRig();
  const newest = record.strengthSessions.at(-1);
  const tests = record.strengthTests.filter((test) => newest !== undefined && test.sessionId === newest.id);
  const made = tests.reduce((sum, test) => sum + Math.min(test.pulls.length, newest?.pullsEach ?? 0), 0);
  const line = newest
    ? `${newest.name}: ${made} of ${tests.length * newest.pullsEach} pulls made`
    : 'plan an afternoon of pulls, then go through it with wet hands';
  return (
    <CollapsibleCard id="session" title="A session of pulls" line={line}>
      <Inside ids={ids} />
    </CollapsibleCard>
  );
}
