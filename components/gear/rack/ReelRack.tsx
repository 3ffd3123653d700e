'use client';

import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import type { Known } from '@/core/provenance/source';
import type { CounterRecord, ReelRecord } from '@/core/record/record';
import { More } from '@/components/keeping/More';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Formatter } from '@/words/format';
import { AXLE_PX, FLANGE_PX, SPOOL_BOX, spoolScale } from './rackScale';
import { ScaleBar } from './ScaleBar';

/** The boat's reels side by side, each spool cut along its axle, all to one scale. */
export function ReelRack({
  boatId,
  reels,
  onChange,
}: {
  boatId: string;
  reels: readonly ReelRecord[];
  onChange: (reelId: string) => void;
}) {
  const { format } = useUnits();
  if (reels.length === 0) return null;
  const pxPerM = spoolScale(
    reels.map(({ widthM, fullDiameterM }) => ({ widthM: widthM.value, fullDiameterM: fullDiameterM.value })),
  );
  const roomPx = Math.max(...reels.map(({ widthM }) => widthM.value * pxPerM)) + 2 * (FLANGE_PX + AXLE_PX);
  return (
    <>
      <ul aria-label="Reels of this boat" className="grid gap-3 sm:grid-cols-2 xl:grid-cols-3">
        {reels.map((reel) => (
          <li key={reel.id} className="flex items-start gap-x-4 border-l-4 border-rule bg-paper/50 px-3 py-2">
            <SpoolPicture reel={reel} pxPerM={pxPerM} roomPx={roomPx} />
            <div className="min-w-0 grow text-sm">
              <b className="text-base">{reel.name}</b>
              <Sizes reel={reel} />
              <p>{counterWords(reel.counter, format)}</p>
              <p>
                {reel.dragLimitN === null
                  ? "The maker's drag limit is not known."
                  : `The maker's drag limit is ${format.force(reel.dragLimitN)}.`}
              </p>
              <div className="-ml-4 flex flex-wrap">
                <Button weight="quiet" onClick={() => onChange(reel.id)} aria-label={`Change ${reel.name}`}>
                  Change
                </Button>
                <More
                  boatId={boatId}
                  thing="reel"
                  id={reel.id}
                  name={reel.name}
                  stays="Put away, it is not offered for a new rig. What its loads taught stays on record."
                />
              </div>
            </div>
          </li>
        ))}
      </ul>
      <ScaleBar lengthM={0.01} pxPerM={pxPerM} words={`${format.small(0.01)}: all spools to one scale`} />
    </>
  );
}

function Sizes({ reel }: { reel: ReelRecord }) {
  const { format } = useUnits();
  const size = ({ value, sd, source }: Known): string =>
    `${format.small(value, PLUS_MINUS_SDS * sd)}${source === 'default' ? ' (a guess)' : ''}`;
  return (
    <dl className="figures grid grid-cols-[auto_1fr] gap-x-2">
      <dt>arbor</dt>
      <dd>{size(reel.arborDiameterM)}</dd>
      <dt>width</dt>
      <dd>{size(reel.widthM)}</dd>
      <dt>full</dt>
      <dd>{size(reel.fullDiameterM)}</dd>
    </dl>
  );
}

/** Arbor, flanges and the room for line; what is a guess has broken edges. */
function SpoolPicture({ reel, pxPerM, roomPx }: { reel: ReelRecord; pxPerM: number; roomPx: number }) {
  const [widthPx, fullPx, arborPx] = [reel.widthM, reel.fullDiameterM, reel.arborDiameterM].map(
    ({ value }) => value * pxPerM,
  ) as [number, number, number];
  const isGuess = [reel.widthM, reel.fullDiameterM, reel.arborDiameterM].some(({ source }) => source === 'default');
  const dash = isGuess ? '4 3' : undefined;
  const [left, middle] = [(roomPx - widthPx) / 2, SPOOL_BOX.height / 2];
  return (
    <svg
      viewBox={`0 0 ${roomPx} ${SPOOL_BOX.height}`}
      width={roomPx}
      height={SPOOL_BOX.height}
      aria-hidden
      className="mt-1 shrink-0 stroke-ink"
    >
      <rect
        x={left}
        y={middle - fullPx / 2}
        width={widthPx}
        height={fullPx}
        className="fill-card"
        strokeWidth={0.75}
        strokeDasharray="2 3"
      />
      <rect
        x={left}
        y={middle - arborPx / 2}
        width={widthPx}
        height={arborPx}
        className="fill-edge"
        strokeDasharray={dash}
      />
      {[left - FLANGE_PX, left + widthPx].map((x) => (
        <rect
          key={x}
          x={x}
          y={middle - fullPx / 2}
          width={FLANGE_PX}
          height={fullPx}
          className={isGuess ? 'fill-edge' : 'fill-ink-soft'}
          strokeWidth={0.75}
          strokeDasharray={dash}
        />
      ))}
      <path
        d={`M${left - FLANGE_PX - AXLE_PX} ${middle}H${left + widthPx + FLANGE_PX + AXLE_PX}`}
        fill="none"
        strokeWidth={0.75}
        strokeDasharray="9 3 2 3"
      />
    </svg>
  );
}

/** What the reel counts, and by what. */
function counterWords(counter: CounterRecord | null, format: Formatter): string {
  if (!counter) return 'No counter.';
  const { value, sd, source } = counter.lengthPerTurnM;
  if (source === 'default') return 'What it counts a turn is not known yet.';
  if (counter.drive === 'spool') return `Counts ${format.small(value, PLUS_MINUS_SDS * sd)} a turn.`;
  return `Counts by a roller, ${format.percent(value, PLUS_MINUS_SDS * sd)} of what passes.`;
}
