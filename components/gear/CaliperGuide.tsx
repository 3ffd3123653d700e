'use client';

import { useUnits } from '@/components/units/UnitsProvider';

export type CaliperMeasure = 'arbor' | 'width' | 'full';

/** Where the jaws go for each measure of an empty spool. */
const WORDS: Readonly<Record<CaliperMeasure, { readonly title: string; readonly how: string }>> = {
  arbor: { title: 'Arbor', how: 'Spool empty. Close the outside jaws on the bare arbor, one on each side of it.' },
  width: { title: 'Width', how: 'Open the inside jaws from flange to flange, close above the arbor.' },
  full: { title: 'Full', how: 'Close the outside jaws over the rim, right across the spool.' },
};

const VIEW = { width: 330, height: 220 } as const;
const MIDDLE = { x: 150, y: 106 } as const;
const ROOM = { width: 180, height: 168 } as const;
const FLANGE_PX = 8;
/** A spool as it is drawn until all three are typed (m). */
const SKETCHED = { arborM: 0.028, widthM: 0.038, fullM: 0.056 } as const;

/**
 * A spool cut along its axle, and the two points of the measure in hand between the jaws of a caliper. It is to scale once all three sizes are
 * there, and says so.
 */
export function CaliperGuide({
  measure,
  sizes,
}: {
  measure: CaliperMeasure;
  /** What was typed so far (m). */
  sizes: { readonly arborM: number | null; readonly widthM: number | null; readonly fullM: number | null };
}) {
  const { format } = useUnits();
  const { arborM, widthM, fullM } = sizes;
  const isWhole = arborM !== null && widthM !== null && fullM !== null && arborM < fullM;
  const drawn = isWhole ? { arborM, widthM, fullM } : SKETCHED;
  const pxPerM = Math.min(ROOM.width / drawn.widthM, ROOM.height / drawn.fullM);
  const [arborPx, widthPx, fullPx] = [drawn.arborM * pxPerM, drawn.widthM * pxPerM, drawn.fullM * pxPerM];
  const [left, right] = [MIDDLE.x - widthPx / 2, MIDDLE.x + widthPx / 2];
  const typed = { arbor: arborM, width: widthM, full: fullM }[measure];
  const { title, how } = WORDS[measure];
  // Two points, and from which side a jaw comes to each.
  const points = {
    arbor: [
      { x: MIDDLE.x, y: MIDDLE.y - arborPx / 2, from: 'above' },
      { x: MIDDLE.x, y: MIDDLE.y + arborPx / 2, from: 'below' },
    ],
    width: [
      { x: left, y: MIDDLE.y - arborPx / 2 - 10, from: 'right' },
      { x: right, y: MIDDLE.y - arborPx / 2 - 10, from: 'left' },
    ],
    full: [
      { x: right + FLANGE_PX / 2, y: MIDDLE.y - fullPx / 2, from: 'above' },
      { x: right + FLANGE_PX / 2, y: MIDDLE.y + fullPx / 2, from: 'below' },
    ],
  } as const;
  const [one, other] = points[measure];
  return (
    <figure className="m-0 w-full max-w-80" data-measure={measure}>
      <svg
        viewBox={`0 0 ${VIEW.width} ${VIEW.height}`}
        className="block h-auto w-full stroke-ink"
        role="img"
        aria-label={`${title}: ${how}`}
      >
        <rect
          x={left}
          y={MIDDLE.y - fullPx / 2}
          width={widthPx}
          height={fullPx}
          className="fill-paper"
          strokeWidth={0.75}
          strokeDasharray="2 4"
        />
        <rect x={left} y={MIDDLE.y - arborPx / 2} width={widthPx} height={arborPx} className="fill-edge" />
        {[left - FLANGE_PX, right].map((x) => (
          <rect
            key={x}
            x={x}
            y={MIDDLE.y - fullPx / 2}
            width={FLANGE_PX}
            height={fullPx}
            className="fill-ink-soft"
            strokeWidth={0.75}
          />
        ))}
        <path d={`M${left - 30} ${MIDDLE.y}H${right + 30}`} fill="none" strokeWidth={0.75} strokeDasharray="9 3 2 3" />
        <path d={`M${one.x} ${one.y}L${other.x} ${other.y}`} className="stroke-chalk" strokeWidth={2} />
        {[one, other].map((point, index) => (
          <Jaw key={index} {...point} />
        ))}
        <g className="figures" stroke="none">
          <text x={VIEW.width - 4} y={24} textAnchor="end" className="lettered fill-ink text-[18px]">
            {title}
          </text>
          <text x={VIEW.width - 4} y={44} textAnchor="end" className="fill-ink text-[14px] font-semibold">
            {typed === null ? 'not measured' : format.small(typed)}
          </text>
        </g>
      </svg>
      <figcaption className="text-sm">
        <b>{title}.</b> {how}{' '}
        <span className="text-ink-soft">{isWhole ? 'Drawn to scale.' : 'Not to scale until all three are there.'}</span>
      </figcaption>
    </figure>
  );
}

/** A jaw whose edge lies at a point. */
function Jaw({ x, y, from }: { x: number; y: number; from: 'above' | 'below' | 'left' | 'right' }) {
  const [dx, dy] = { above: [0, -1], below: [0, 1], left: [-1, 0], right: [1, 0] }[from] as [number, number];
  const [long, half] = from === 'above' || from === 'below' ? [26, 9] : [20, 7];
  const [backX, backY] = [x + dx * long, y + dy * long];
  return (
    <>
      <path
        d={`M${x} ${y}L${backX + dy * half} ${backY + dx * half}L${backX - dy * half} ${backY - dx * half}Z`}
        className="fill-chalk/25 stroke-chalk"
        strokeWidth={1.5}
      />
      <circle cx={x} cy={y} r={3.5} className="fill-chalk" stroke="none" />
    </>
  );
}
