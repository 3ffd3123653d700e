import type { ReactNode } from 'react';

/** A spool cut along its axle: arbor, line on it, and the wall at either end. */
const SPOOL = (
  <>
    <path d="M4 32h88" strokeDasharray="7 3 2 3" />
    <rect x={18} y={12} width={60} height={40} className="fill-paper" />
    <rect x={18} y={24} width={60} height={16} className="fill-card" />
    <rect x={13} y={4} width={5} height={56} className="fill-card" />
    <rect x={78} y={4} width={5} height={56} className="fill-card" />
  </>
);

/** A line from the hook on the left to the spool on the right, each piece as thick as it may be. */
const LINE = (
  <>
    <path d="M4 32h92" />
    <path d="M4 32c-3 6 3 9 5 4" />
    {[26, 52, 76].map((x) => (
      <circle key={x} cx={x} cy={32} r={3} className="fill-card" />
    ))}
  </>
);

/** A rod over the water, and the lure behind it. */
const TOWED = (
  <>
    <path d="M2 30q5 -3 10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0t10 0" strokeWidth={1} />
    <path d="M96 26L74 12" strokeWidth={2.5} />
    <path d="M74 12Q40 34 14 52" />
    <path d="M14 52l-7 -2l2 7z" />
  </>
);

const on = (d: string, width = 3): ReactNode => <path d={d} className="stroke-chalk" strokeWidth={width} />;
const filled = (x: number, y: number, width: number, height: number): ReactNode => (
  <rect x={x} y={y} width={width} height={height} className="fill-chalk/50 stroke-chalk" />
);

/** Terms whose place is easier seen than said; what is meant stands out. */
const DRAWINGS: Readonly<Record<string, ReactNode>> = {
  arbor: [SPOOL, filled(18, 24, 60, 16)],
  flange: [SPOOL, filled(13, 4, 5, 56), filled(78, 4, 5, 56)],
  rim: [SPOOL, on('M11 4h9M76 4h9M11 60h9M76 60h9')],
  fill: [SPOOL, filled(18, 12, 60, 12), filled(18, 40, 60, 12)],
  level: [SPOOL, on('M18 4h60', 1), on('M48 4v8', 2.5), on('M45 7l3 -3l3 3M45 9l3 3l3 -3', 1.5)],
  leader: [LINE, on('M9 32h14')],
  'top shot': [LINE, on('M29 32h20', 5)],
  'running line': [LINE, on('M55 32h18')],
  backing: [LINE, on('M79 32h17', 4)],
  segment: [LINE, on('M29 32h20', 5), on('M27 22h24M27 19v6M51 19v6', 1.5)],
  join: [LINE, [26, 52, 76].map((x) => <circle key={x} cx={x} cy={32} r={4} className="fill-chalk/50 stroke-chalk" />)],
  tip: [TOWED, <circle key="tip" cx={74} cy={12} r={5} className="fill-chalk/50 stroke-chalk" />],
  setback: [TOWED, on('M12 60h62M12 57v6M74 57v6', 1.5)],
  hang: [TOWED, on('M74 12v14', 2.5)],
};

/** A small drawing of a term, where it helps; nothing where it does not. Its line of meaning says the same in words. */
export function TermDrawing({ term }: { term: string }) {
  const drawing = DRAWINGS[term];
  if (drawing === undefined) return null;
  return (
    <svg
      viewBox="0 0 100 64"
      width={100}
      height={64}
      aria-hidden
      data-testid={`term-${term}`}
      className="float-right ml-3 shrink-0 stroke-ink"
      fill="none"
      strokeWidth={1.25}
    >
      {Array.isArray(drawing) ? drawing.map((part: ReactNode, index) => <g key={index}>{part}</g>) : drawing}
    </svg>
  );
}

/** The terms that have a drawing. */
export const DRAWN_TERMS: readonly string[] = Object.keys(DRAWINGS);
