'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import type { PersonRecord } from '@/core/record/crew';
import type { KeptPlanRecord, LineProductRecord, ReelRecord, SupplySpoolRecord } from '@/core/record/record';
import type { WantedLine } from '@/core/rig/load/wantedLine';
import { PutAway } from '@/components/keeping/PutAway';
import { Card } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { showFold } from '@/components/ui/folds';
import { CrewCard } from '@/components/crew/CrewCard';
import { fetched } from '@/components/ui/fetched';
import { CutListCard } from './CutListCard';
import type { BegunLine } from './LineForm';
import { NewRig } from './NewRig';
import { LineRack } from './rack/LineRack';
import { ReelRack } from './rack/ReelRack';
import { Supplies } from './Supplies';

// A form is loaded where it shows: once there is gear, each is folded away.
const LineForm = dynamic(() => fetched(() => import('./LineForm')).then(({ LineForm: loaded }) => loaded));
const ReelForm = dynamic(() => fetched(() => import('./ReelForm')).then(({ ReelForm: loaded }) => loaded));

interface Props {
  readonly boatId: string;
  readonly reels: readonly ReelRecord[];
  readonly lines: readonly LineProductRecord[];
  /** Reels that carry no rig. */
  readonly freeReelIds: readonly string[];
  readonly supplySpools: readonly SupplySpoolRecord[];
  readonly people: readonly PersonRecord[];
  readonly rigs: readonly { readonly id: string; readonly name: string }[];
  readonly plans: readonly KeptPlanRecord[];
  readonly likeRigId: string | null;
  /** A line that was begun elsewhere. */
  readonly begunLine: BegunLine | null;
  /** What the rigs' planned loads ask for. */
  readonly wanted: readonly WantedLine[];
}

/** The boat's reels and lines, and a new rig made of them. */
export function GearPage({ boatId, reels, lines, freeReelIds, supplySpools, wanted, ...of }: Props) {
  const onShelf = inUse(supplySpools);
  const free = inUse(reels).filter((reel) => freeReelIds.includes(reel.id));
  return (
    <div className="flex flex-col gap-4">
      <NewRig boatId={boatId} reels={free} rigs={of.rigs} plans={of.plans} likeRigId={of.likeRigId} />
      <Reels boatId={boatId} reels={reels} />
      <Lines boatId={boatId} lines={lines} begun={of.begunLine} />
      {lines.length > 0 && <Supplies boatId={boatId} spools={supplySpools} lines={lines} />}
      {lines.length > 0 && <CutListCard lines={lines} spools={onShelf} wanted={wanted} />}
      <CrewCard boatId={boatId} people={of.people} />
    </div>
  );
}

const inUse = <T extends { readonly archivedAt: string | null }>(rows: readonly T[]): readonly T[] =>
  rows.filter(({ archivedAt }) => archivedAt === null);
const putAway = <T extends { readonly archivedAt: string | null }>(rows: readonly T[]): readonly T[] =>
  rows.filter(({ archivedAt }) => archivedAt !== null);

function Reels({ boatId, reels }: { boatId: string; reels: readonly ReelRecord[] }) {
  const [editing, setEditing] = useState<string | null>(null);
  const change = (reelId: string): void => {
    setEditing(reelId);
    showFold('reel-form');
  };
  const reel = reels.find((candidate) => candidate.id === editing) ?? null;
  return (
    <Card title="Reels">
      <ReelRack boatId={boatId} reels={inUse(reels)} onChange={change} />
      <div className="mt-4">
        <CollapsibleCard
          id="reel-form"
          title={reel ? `Change ${reel.name}` : 'Add a reel'}
          line="by caliper, or by the capacities on its box"
          isOpen={reels.length === 0}
        >
          <ReelForm
            key={reel ? `${reel.id}-${reel.version}` : 'new'}
            boatId={boatId}
            reel={reel}
            onDone={() => setEditing(null)}
          />
        </CollapsibleCard>
      </div>
      <PutAway boatId={boatId} thing="reel" what="Reels" rows={putAway(reels)} />
    </Card>
  );
}

function Lines({
  boatId,
  lines,
  begun,
}: {
  boatId: string;
  lines: readonly LineProductRecord[];
  begun: BegunLine | null;
}) {
  const [editing, setEditing] = useState<string | null>(null);
  const change = (lineId: string): void => {
    setEditing(lineId);
    showFold('line-form');
  };
  const isBegun = begun !== null;
  useEffect(() => {
    // Whoever comes with a line that was begun elsewhere finds its form open, whatever was closed here before.
    if (isBegun) showFold('line-form');
  }, [isBegun]);
  const line = lines.find((candidate) => candidate.id === editing) ?? null;
  return (
    <Card title="Lines">
      <LineRack boatId={boatId} lines={inUse(lines)} onChange={change} />
      <div className="mt-4">
        <CollapsibleCard
          id="line-form"
          title={line ? `Change ${line.name}` : 'Add a line'}
          line="by its label, or better by wraps, caliper and scale"
          isOpen={lines.length === 0}
        >
          <LineForm
            key={line ? `${line.id}-${line.version}` : 'new'}
            boatId={boatId}
            line={line}
            begun={begun}
            onDone={() => setEditing(null)}
          />
        </CollapsibleCard>
      </div>
      <PutAway boatId={boatId} thing="line" what="Lines" rows={putAway(lines)} />
    </Card>
  );
}
