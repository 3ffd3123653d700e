'use client';

import { readCursor, type RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';
import { bandsOfLine } from '@/core/rig/view/bandsOfLine';
import { useCursor } from './cursor';
import { MATERIAL_FILL } from './lineColours';

const HEIGHT = 230;
const WIDTH = 340;

/** The spool as it stands at the cursor. */
export function SpoolAtCursor({ view }: { view: RigView }) {
  return <SpoolSection view={view} cursorM={useCursor()} />;
}

/**
 * The spool cut along its axle, to scale: what is on it, segment by segment, and how far it has emptied
 * at the cursor.
 */
export function SpoolSection({ view, cursorM, caption }: { view: RigView; cursorM: number; caption?: string }) {
  const { format } = useUnits();
  const { line } = view.current;
  const rimM = view.record.reel.fullDiameterM.value;
  const widthM = line.spool.widthM;
  const largestM = Math.max(rimM, line.fullDiameterM) * 1.04;
  const pxPerM = Math.min((HEIGHT - 34) / largestM, (WIDTH - 60) / (widthM * 1.3));
  const px = (m: number): number => m * pxPerM;
  const middle = { x: WIDTH / 2, y: (HEIGHT - 22) / 2 };
  const now = readCursor(view, cursorM);
  const belowRimM = (rimM - line.fullDiameterM) / 2;
  const bands = bandsOfLine(view.record, view.current.line);
  const label = `Spool section to scale: wound to ${format.small(line.fullDiameterM)} of ${format.small(rimM)}; ${format.small(now.diameterM)} left at the cursor`;
  return (
    <figure className="m-0">
      <svg
        width={WIDTH}
        height={HEIGHT}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={label}
        className="mx-auto block max-w-full"
      >
        {line.segments
          .filter((segment) => segment.wound)
          .map((segment) => {
            const outerM = Math.min(segment.outerDiameterM, Math.max(now.diameterM, segment.innerDiameterM));
            const fill = MATERIAL_FILL[bands.find((band) => band.segmentId === segment.id)?.material ?? 'nylon'];
            return [-1, 1].map((side) => (
              <g key={`${segment.id}${side}`}>
                <SectionBlock
                  side={side}
                  middle={middle}
                  widthPx={px(widthM)}
                  innerPx={px(segment.innerDiameterM / 2)}
                  outerPx={px(segment.outerDiameterM / 2)}
                  className="fill-none stroke-ink-soft"
                  dashed
                />
                <SectionBlock
                  side={side}
                  middle={middle}
                  widthPx={px(widthM)}
                  innerPx={px(segment.innerDiameterM / 2)}
                  outerPx={px(outerM / 2)}
                  fill={fill}
                  className="stroke-ink/70"
                />
              </g>
            ));
          })}
        <rect
          x={middle.x - px(widthM) / 2}
          y={middle.y - px(line.spool.arborDiameterM) / 2}
          width={px(widthM)}
          height={px(line.spool.arborDiameterM)}
          className="fill-edge stroke-ink"
          strokeWidth={1}
        />
        {[-1, 1].map((side) => (
          <rect
            key={side}
            x={middle.x + (side * px(widthM)) / 2 + (side < 0 ? -7 : 0)}
            y={middle.y - px(rimM) / 2}
            width={7}
            height={px(rimM)}
            className="fill-ink-soft"
          />
        ))}
        <line
          x1={middle.x - px(widthM) / 2 - 20}
          x2={middle.x + px(widthM) / 2 + 20}
          y1={middle.y}
          y2={middle.y}
          className="stroke-ink"
          strokeWidth={1}
          strokeDasharray="9 3 2 3"
        />
        <g className="figures">
          <line x1={10} x2={10 + px(0.01)} y1={HEIGHT - 8} y2={HEIGHT - 8} className="stroke-ink" strokeWidth={2} />
          <text x={16 + px(0.01)} y={HEIGHT - 4} className="fill-ink text-[11px]">
            {format.small(0.01)}
          </text>
        </g>
      </svg>
      <figcaption className="text-sm">
        {caption ?? (
          <>
            Wound to <b className="figures">{format.small(line.fullDiameterM)}</b> of {format.small(rimM)}:{' '}
            {belowRimM >= 0 ? `${format.small(belowRimM)} under the rim` : `${format.small(-belowRimM)} above the rim`}.
          </>
        )}
      </figcaption>
    </figure>
  );
}

interface BlockProps {
  readonly side: number;
  readonly middle: { readonly x: number; readonly y: number };
  readonly widthPx: number;
  readonly innerPx: number;
  readonly outerPx: number;
  readonly className: string;
  readonly fill?: string;
  readonly dashed?: boolean;
}

function SectionBlock({ side, middle, widthPx, innerPx, outerPx, className, fill, dashed }: BlockProps) {
  const y = side < 0 ? middle.y - outerPx : middle.y + innerPx;
  return (
    <rect
      x={middle.x - widthPx / 2}
      y={y}
      width={widthPx}
      height={Math.max(0, outerPx - innerPx)}
      fill={fill}
      className={className}
      strokeWidth={0.75}
      strokeDasharray={dashed ? '3 3' : undefined}
    />
  );
}
