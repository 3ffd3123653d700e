import type { ReactNode } from 'react';

const LINE = 'M8 45h304';

/** What will stand at a station once there is a line, in pencil: no figure, since there is none yet. */
const SKETCHES = {
  line: (
    <>
      <path d={LINE} strokeWidth={6} />
      <path d="M96 45h84" strokeWidth={12} />
      {[96, 180, 300].map((x) => (
        <circle key={x} cx={x} cy={45} r={7} className="fill-card" />
      ))}
      <path d="M8 14h304M8 76h304" />
      {Array.from({ length: 16 }, (_, index) => (
        <path key={index} d={`M${12 + index * 20} 14v7M${12 + index * 21} 76v-7`} />
      ))}
    </>
  ),
  counter: (
    <>
      <path d="M14 8v72h298" />
      <path d="M14 72L300 18" strokeDasharray="5 4" />
      <path d="M14 72C110 56 190 40 300 8" strokeWidth={2.5} />
    </>
  ),
  strength: (
    <>
      <path d="M14 8v72h298" />
      <path d="M14 26h82v18h90v-28h126" strokeWidth={2.5} />
      <circle cx={141} cy={44} r={8} />
    </>
  ),
  drag: (
    <>
      <path d="M14 8v72h298" />
      <path d="M14 22h298" strokeDasharray="5 4" />
      <path d="M14 62C130 58 230 46 306 24" strokeWidth={2.5} />
    </>
  ),
  water: (
    <>
      <path d="M8 22q10 -6 20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0" />
      <path d="M306 10L250 22C170 34 90 52 24 76" strokeWidth={2.5} />
      <path d="M24 76l-10 4l4 -9z" />
    </>
  ),
} as const;

/** A pencil drawing of what will stand where nothing can stand yet, under the words that say what is wanted first. */
export function Sketch({ of, children }: { of: keyof typeof SKETCHES; children: ReactNode }) {
  return (
    <div className="flex flex-col gap-3">
      {children}
      <svg
        viewBox="0 0 320 90"
        aria-hidden
        data-testid={`sketch-${of}`}
        className="h-auto w-full max-w-md fill-none stroke-edge-strong opacity-60"
        strokeWidth={1.5}
        strokeLinecap="round"
      >
        {SKETCHES[of]}
      </svg>
    </div>
  );
}
