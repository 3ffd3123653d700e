'use client';

import dynamic from 'next/dynamic';
import type { CrewKnows } from '@/core/joins/chooseJoin';
import type { JoinRecord } from '@/core/record/record';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';

/** Loaded when it is first opened. */
const JoinChooserInside = dynamic(
  () => fetched(() => import('./JoinChooserInside')).then(({ JoinChooserInside: loaded }) => loaded),
  {
    ssr: false,
  },
);

/** Which joins would join these two lines, and why the others cannot. */
export function JoinChooser({ join, crew }: { join: JoinRecord; crew: CrewKnows }) {
  return (
    <CollapsibleCard
      id="choose-join"
      title="What else would join these"
      line="ranked by what they keep, what they pass and who can tie them; and why the others cannot"
    >
      <JoinChooserInside join={join} crew={crew} />
    </CollapsibleCard>
  );
}
