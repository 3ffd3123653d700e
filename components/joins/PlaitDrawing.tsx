'use client';

interface Props {
  /** Passes so far, in order. */
  readonly passes: readonly ('over' | 'under')[];
  readonly hand: 'left' | 'right';
}

const STEP = 20;
const TOP = 22;
const BOTTOM = 78;
const LEADER = { y: 40, height: 20 } as const;
const SHOWN = 16;

/**
 * How the plait lies for the one who ties it: the leader lies across, each pass of the braid crosses it, in front
 * (over) or behind (under), and the last one is marked. Mirrored for a left hand. The newest passes are shown.
 */
export function PlaitDrawing({ passes, hand }: Props) {
  const shown = passes.slice(-SHOWN);
  const width = (SHOWN + 3) * STEP;
  const last = shown.at(-1) ?? null;
  const xOf = (index: number): number => (index + 1.5) * STEP;
  const strand = (side: 'over' | 'under', index: number) => (
    // A pass over runs down across the leader, a pass under runs up behind it.
    <line
      key={`${side} ${index}`}
      x1={xOf(index)}
      y1={side === 'over' ? TOP : BOTTOM}
      x2={xOf(index) + STEP}
      y2={side === 'over' ? BOTTOM : TOP}
      strokeWidth={index === shown.length - 1 ? 7 : 5}
      strokeLinecap="round"
      className={index === shown.length - 1 ? 'stroke-stop' : 'stroke-[#5d7a48]'}
    />
  );
  const of = (side: 'over' | 'under') => shown.flatMap((each, index) => (each === side ? [strand(side, index)] : []));
  const words =
    last === null
      ? 'The leader lies across; no pass yet.'
      : `The last of ${passes.length} passes went ${last}: the braid lies ${last === 'over' ? 'below, in front of' : 'above, behind'} the leader.`;
  return (
    <figure>
      <svg
        viewBox={`0 0 ${width} 100`}
        role="img"
        aria-label={words}
        className="block w-full max-w-md"
        style={{ transform: hand === 'left' ? 'scaleX(-1)' : undefined }}
      >
        {of('under')}
        <rect
          x={4}
          y={LEADER.y}
          width={width - 8}
          height={LEADER.height}
          rx={10}
          fill="#cdb9d6"
          className="stroke-ink/60"
        />
        {of('over')}
      </svg>
      <figcaption className="text-sm text-ink-soft">{words}</figcaption>
    </figure>
  );
}
