'use client';

import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { CounterRecord, LineProductRecord, ReelRecord, SupplySpoolRecord } from '@/core/record/record';
import type { WantedLine } from '@/core/rig/load/wantedLine';
import { ChoiceField, TextField } from '@/components/fields/TextField';
import { isText, useDraft } from '@/components/fields/useDraft';
import { useSend } from '@/components/http/useSend';
import { stationPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { CutListCard } from './CutListCard';
import { LineForm } from './LineForm';
import { ReelForm } from './ReelForm';
import { Supplies } from './Supplies';

interface Props {
  readonly boatId: string;
  readonly reels: readonly ReelRecord[];
  readonly lines: readonly LineProductRecord[];
  /** Reels that carry no rig yet. */
  readonly freeReelIds: readonly string[];
  readonly supplySpools: readonly SupplySpoolRecord[];
  /** What the rigs' planned loads ask for. */
  readonly wanted: readonly WantedLine[];
}

/** The boat's reels and lines, and a new rig made of them. */
export function GearPage({ boatId, reels, lines, freeReelIds, supplySpools, wanted }: Props) {
  return (
    <div className="flex flex-col gap-4">
      <NewRig boatId={boatId} reels={reels.filter((reel) => freeReelIds.includes(reel.id))} />
      <Reels boatId={boatId} reels={reels} />
      <Lines boatId={boatId} lines={lines} />
      {lines.length > 0 && <Supplies boatId={boatId} spools={supplySpools} lines={lines} />}
      {lines.length > 0 && <CutListCard lines={lines} spools={supplySpools} wanted={wanted} />}
    </div>
  );
}

function NewRig({ boatId, reels }: { boatId: string; reels: readonly ReelRecord[] }) {
  const router = useRouter();
  const { sendNow, state, fieldError } = useSend();
  const [name, setName] = useDraft(`rig:${boatId}:name`, isText);
  const [picked, setPicked] = useState<string | null>(null);
  const first = reels[0];
  if (!first) {
    return (
      <Card title="A new rig">
        <p>Every reel on record carries a rig already. Add a reel below, then make a rig of it.</p>
      </Card>
    );
  }
  const reelId = reels.some((reel) => reel.id === picked) ? (picked ?? first.id) : first.id;
  const create = async (): Promise<void> => {
    const result = await sendNow(
      'createRig',
      { boatId },
      { name: name ?? '', note: '', reelId },
      'The rig is in the locker.',
    );
    if (!result.ok) return;
    setName(null);
    router.push(stationPath(boatId, result.value.id, 'load'));
  };
  return (
    <Card title="A new rig">
      <form
        className="grid items-end gap-2 sm:grid-cols-[1fr_1fr_auto]"
        onSubmit={(event) => {
          event.preventDefault();
          void create();
        }}
      >
        <TextField label="Name of the rig" value={name ?? ''} onChange={setName} error={fieldError('name')} />
        <ChoiceField
          label="On the reel"
          value={reelId}
          options={reels.map((reel) => ({ value: reel.id, text: reel.name }))}
          onChange={setPicked}
          error={fieldError('reelId')}
        />
        <Button type="submit" weight="main" disabled={state.kind === 'sending'}>
          Make this rig
        </Button>
      </form>
    </Card>
  );
}

function Row({ cells, onEdit, label }: { cells: readonly ReactNode[]; onEdit: () => void; label: string }) {
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
      {reels.length > 0 && (
        <Table heads={['reel', 'arbor', 'width', 'full', 'counts a turn', "maker's drag limit"]} label="Reels">
          {reels.map((row) => (
            <Row
              key={row.id}
              label={row.name}
              onEdit={() => setEditing(row.id)}
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
    </Card>
  );
}

function Lines({ boatId, lines }: { boatId: string; lines: readonly LineProductRecord[] }) {
  const { format } = useUnits();
  const [editing, setEditing] = useState<string | null>(null);
  const line = lines.find((candidate) => candidate.id === editing) ?? null;
  return (
    <Card title="Lines">
      {lines.length > 0 && (
        <Table heads={['line', 'material', 'thickness', 'packing', 'label']} label="Lines">
          {lines.map((row) => (
            <Row
              key={row.id}
              label={row.name}
              onEdit={() => setEditing(row.id)}
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
        onDone={() => setEditing(null)}
      />
    </Card>
  );
}

/** What the reel counts, and by what. */
function counterWords(counter: CounterRecord | null, format: ReturnType<typeof useUnits>['format']): string {
  if (!counter) return 'no counter';
  const { value, sd } = counter.lengthPerTurnM;
  if (counter.drive === 'spool') return format.small(value, PLUS_MINUS_SDS * sd);
  return `roller, ${format.percent(value, PLUS_MINUS_SDS * sd)} of what passes`;
}
