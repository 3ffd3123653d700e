'use client';

import type { LoadRecord, LoadSegmentRecord, SupplySpoolRecord } from '@/core/record/record';
import { fittingSpool } from '@/core/supplies/fittingSpool';
import { ChoiceField } from '@/components/fields/TextField';
import { useDraft } from '@/components/fields/useDraft';
import { useRig } from '@/components/rig/RigProvider';
import { useUnits } from '@/components/units/UnitsProvider';

const ELSEWHERE = 'elsewhere';

const isPicked = (kept: unknown): kept is Readonly<Record<string, string>> =>
  typeof kept === 'object' && kept !== null && Object.values(kept).every((spool) => typeof spool === 'string');

interface ShelfRow {
  readonly segment: LoadSegmentRecord;
  readonly spools: readonly SupplySpoolRecord[];
  readonly chosen: string;
}

export interface Shelf {
  readonly rows: readonly ShelfRow[];
  /** What to send: only segments that came from the shelf. */
  readonly supplies: readonly { readonly segmentId: string; readonly supplySpoolId: string }[];
  choose(segmentId: string, spoolId: string): void;
}

/** From which supply spool each segment came: the smallest one that holds enough, until a person says otherwise. */
export function useShelf(load: LoadRecord): Shelf {
  const { record } = useRig();
  const [kept, setPicked] = useDraft(`shelf:${load.id}`, isPicked);
  const picked = kept ?? {};
  const rows = load.segments.flatMap((segment): ShelfRow[] => {
    const spools = record.supplySpools.filter((spool) => spool.lineProductId === segment.productId);
    if (spools.length === 0) return [];
    const fitting = fittingSpool(spools, segment.productId, segment.plannedLengthM);
    const wanted = picked[segment.segmentId];
    const isThere = wanted === ELSEWHERE || spools.some((spool) => spool.id === wanted);
    return [{ segment, spools, chosen: isThere && wanted ? wanted : (fitting?.id ?? ELSEWHERE) }];
  });
  return {
    rows,
    supplies: rows
      .filter((row) => row.chosen !== ELSEWHERE)
      .map((row) => ({ segmentId: row.segment.segmentId, supplySpoolId: row.chosen })),
    choose: (segmentId, spoolId) => setPicked({ ...picked, [segmentId]: spoolId }),
  };
}

/** The shelf is debited together with the finish, by what really went on. */
export function FromTheShelf({ shelf, error }: { shelf: Shelf; error: string | undefined }) {
  const { format } = useUnits();
  if (shelf.rows.length === 0) return null;
  return (
    <div className="mb-4 flex flex-col gap-2">
      <p className="text-sm">
        Where the line came from. What went on is taken off the spool when the load is finished; tags and overlaps, a
        few decimetres, are not.
      </p>
      <div className="grid gap-2 sm:grid-cols-2">
        {shelf.rows.map(({ segment, spools, chosen }) => (
          <ChoiceField
            key={segment.segmentId}
            label={`${segment.name} came from`}
            value={chosen}
            options={[
              { value: ELSEWHERE, text: 'not from the shelf' },
              ...spools.map((spool) => ({
                value: spool.id,
                text: `${spool.label}, ${format.length(spool.remainingLengthM)} left`,
              })),
            ]}
            onChange={(spoolId) => shelf.choose(segment.segmentId, spoolId)}
          />
        ))}
      </div>
      {error && (
        <p role="alert" className="text-sm font-semibold text-stop">
          {error}
        </p>
      )}
    </div>
  );
}
