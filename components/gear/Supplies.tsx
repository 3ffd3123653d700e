'use client';

import dynamic from 'next/dynamic';
import type { LineProductRecord, SupplySpoolRecord } from '@/core/record/record';
import { PutAway } from '@/components/keeping/PutAway';
import { Card } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { fetched } from '@/components/ui/fetched';
import { ShelfBars } from './rack/ShelfBars';

/** Loaded where it shows. */
const SupplyForm = dynamic(() => fetched(() => import('./SupplyForm')).then(({ SupplyForm: loaded }) => loaded));

/** What is left on the shelf. */
export function Supplies({
  boatId,
  spools,
  lines,
}: {
  boatId: string;
  spools: readonly SupplySpoolRecord[];
  lines: readonly LineProductRecord[];
}) {
  const onShelf = spools.filter(({ archivedAt }) => archivedAt === null);
  return (
    <Card title="Supply spools on the shelf">
      {onShelf.length > 0 && <ShelfBars boatId={boatId} spools={onShelf} lines={lines} />}
      <CollapsibleCard
        id="supply-form"
        title="Put a spool on the shelf"
        line="its label, the line on it, how much is left"
        isOpen={spools.length === 0}
      >
        <SupplyForm boatId={boatId} lines={lines} />
      </CollapsibleCard>
      <PutAway
        boatId={boatId}
        thing="supply"
        what="Spools"
        rows={spools.filter(({ archivedAt }) => archivedAt !== null).map(({ id, label }) => ({ id, name: label }))}
      />
    </Card>
  );
}
