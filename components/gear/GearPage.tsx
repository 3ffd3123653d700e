'use client';

import { useState, type ReactNode } from 'react';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { PersonRecord } from '@/core/record/crew';
import type {
  CounterRecord,
  KeptPlanRecord,
  LineProductRecord,
  ReelRecord,
  SupplySpoolRecord,
} from '@/core/record/record';
import type { WantedLine } from '@/core/rig/load/wantedLine';
import { More } from '@/components/keeping/More';
import { PutAway } from '@/components/keeping/PutAway';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { CrewCard } from '@/components/crew/CrewCard';
import { CutListCard } from './CutListCard';
import { LineForm, type BegunLine } from './LineForm';
import { NewRig } from './NewRig';
import { ReelForm } from './ReelForm';
import { Supplies } from './Supplies';

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

function Row({
  cells,
  onEdit,
  label,
  more,
}: {
  cells: readonly ReactNode[];
  onEdit: () => void;
  label: string;
  more: ReactNode;
}) {
  return (
    <tr className="border-b border-edge">
      {cells.map((cell, index) => (
        <td key={index} className={`py-1 pr-3 ${index > 0 ? 'figures whitespace-nowrap' : ''}`}>
          {cell}
        </td>
      ))}
      <td className="py-1 text-right">
        <Button weight="quiet" onClick={onEdit} aria-label={`Change ${label}`}>
          Change
        </Button>
        {more}
      </td>
    </tr>
  );
}

function Table({ heads, children, label }: { heads: readonly string[]; children: ReactNode; label: string }) {
  return (
    <div className="relative mb-4 overflow-x-auto" tabIndex={0} role="region" aria-label={label}>
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            {heads.map((head) => (
              <th key={head} className="py-1 pr-3">
                {head}
              </th>
            ))}
            <th className="sr-only">change</th>
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </table>
    </div>
  );
}

function Reels({ boatId, reels }: { boatId: string; reels: readonly ReelRecord[] }) {
  const { format } = useUnits();
  const [editing, setEditing] = useState<string | null>(null);
  const reel = reels.find((candidate) => candidate.id === editing) ?? null;
  return (
    <Card title="Reels">
      {inUse(reels).length > 0 && (
        <Table heads={['reel', 'arbor', 'width', 'full', 'counts a turn', "maker's drag limit"]} label="Table of reels">
          {inUse(reels).map((row) => (
            <Row
              key={row.id}
              label={row.name}
              onEdit={() => setEditing(row.id)}
              more={
                <More
                  boatId={boatId}
                  thing="reel"
                  id={row.id}
                  name={row.name}
                  stays="Put away, it is not offered for a new rig. What its loads taught stays on record."
                />
              }
              cells={[
                row.name,
                ...[row.arborDiameterM, row.widthM, row.fullDiameterM].map(
                  (known) =>
                    `${format.small(known.value, PLUS_MINUS_SDS * known.sd)}${known.source === 'default' ? ' (a guess)' : ''}`,
                ),
                counterWords(row.counter, format),
                row.dragLimitN === null ? 'not known' : format.force(row.dragLimitN),
              ]}
            />
          ))}
        </Table>
      )}
      <h3 className="lettered mb-2">
        {reel
          ? `Change ${reel.name}`
          : 'Add a reel: measure it empty with a caliper, or give the capacities on its box'}
      </h3>
      <ReelForm
        key={reel ? `${reel.id}-${reel.version}` : 'new'}
        boatId={boatId}
        reel={reel}
        onDone={() => setEditing(null)}
      />
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
  const { format } = useUnits();
  const [editing, setEditing] = useState<string | null>(null);
  const line = lines.find((candidate) => candidate.id === editing) ?? null;
  return (
    <Card title="Lines">
      {inUse(lines).length > 0 && (
        <Table heads={['line', 'material', 'thickness', 'packing', 'label']} label="Table of lines">
          {inUse(lines).map((row) => (
            <Row
              key={row.id}
              label={row.name}
              onEdit={() => setEditing(row.id)}
              more={
                <More
                  boatId={boatId}
                  thing="line"
                  id={row.id}
                  name={row.name}
                  stays="Put away, it is not offered for a new plan. Rigs that carry it keep it, with all its pulls."
                />
              }
              cells={[
                row.name,
                row.material,
                `${format.thickness(row.diameterM.value)} ± ${format.thickness(PLUS_MINUS_SDS * row.diameterM.sd)} (${row.diameterM.source})`,
                `${row.packing.value.toFixed(2)} ± ${(PLUS_MINUS_SDS * row.packing.sd).toFixed(2)} (${row.packing.source})`,
                row.labelStrengthN === null ? 'none' : format.force(row.labelStrengthN),
              ]}
            />
          ))}
        </Table>
      )}
      <h3 className="lettered mb-2">{line ? `Change ${line.name}` : 'Add a line'}</h3>
      <LineForm
        key={line ? `${line.id}-${line.version}` : 'new'}
        boatId={boatId}
        line={line}
        begun={begun}
        onDone={() => setEditing(null)}
      />
      <PutAway boatId={boatId} thing="line" what="Lines" rows={putAway(lines)} />
    </Card>
  );
}

/** What the reel counts, and by what. */
function counterWords(counter: CounterRecord | null, format: ReturnType<typeof useUnits>['format']): string {
  if (!counter) return 'no counter';
  const { value, sd, source } = counter.lengthPerTurnM;
  if (source === 'default') return 'not known yet';
  if (counter.drive === 'spool') return format.small(value, PLUS_MINUS_SDS * sd);
  return `roller, ${format.percent(value, PLUS_MINUS_SDS * sd)} of what passes`;
}
