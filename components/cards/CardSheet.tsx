import type { ReactNode, Ref } from 'react';

/** Millimetres of an A6 sheet: the size of every card. */
export const A6 = { width: 105, height: 148 } as const;

/**
 * The sheet of a card: an A6 drawing of its own, so that it prints, hangs on a phone and goes as a file alike. Inks are
 * fixed, since paper has no dark side.
 */
export function CardSheet({
  title,
  line,
  label,
  ref,
  children,
}: {
  title: string;
  line: string;
  label: string;
  ref?: Ref<SVGSVGElement>;
  children: ReactNode;
}) {
  return (
    <svg
      ref={ref}
      xmlns="http://www.w3.org/2000/svg"
      viewBox={`0 0 ${A6.width} ${A6.height}`}
      width={`${A6.width}mm`}
      height={`${A6.height}mm`}
      role="img"
      aria-label={label}
      className="card-sheet h-auto max-w-full border border-edge print:border-0"
      fontFamily="Recursive Variable, Recursive, system-ui, sans-serif"
    >
      <rect width={A6.width} height={A6.height} fill="#fbfdfc" />
      <rect width={A6.width} height={5} fill="#f5cb4c" />
      {Array.from({ length: 22 }, (_, index) => (
        <path
          key={index}
          d={`M${2.5 + index * 4.76} 0v${index % 5 === 0 ? 4 : 2.2}`}
          stroke="#241c05"
          strokeWidth={0.3}
        />
      ))}
      <text x={5} y={12} fontSize={5.2} fontWeight={750} fill="#14232b">
        {title}
      </text>
      <text x={5} y={16.6} fontSize={2.9} fill="#43555d">
        {line}
      </text>
      <FoldMarks />
      {children}
    </svg>
  );
}

/** Where the card is folded in two to go into a box: two dashes at its edges. */
function FoldMarks() {
  const y = A6.height / 2;
  return (
    <path
      d={`M0 ${y}h3.5M${A6.width - 3.5} ${y}h3.5`}
      stroke="#43555d"
      strokeWidth={0.3}
      strokeDasharray="0.9 0.7"
      data-testid="fold"
    />
  );
}

export interface CardRow {
  readonly cells: readonly string[];
  readonly strong: boolean;
}

const TOP = 23;
/** The last line of the foot, and how far apart its lines are (mm). */
const FOOT_END = 145.2;
const FOOT_STEP = 3.2;

/** Rows of a card under their heads, as large as the sheet allows. */
export function CardRows({
  heads,
  at,
  rows,
  foot,
  headSize = 2.9,
  boldFrom = 1,
  boldTo = 1,
  struck = [],
  mostSize = 4.2,
}: {
  heads: readonly string[];
  /** Size of the heads (mm), and the columns that carry the figures. */
  headSize?: number;
  boldFrom?: number;
  boldTo?: number;
  /** Columns whose figures no longer stand: they are struck through. */
  struck?: readonly number[];
  /** Size of the figures (mm), at the most. */
  mostSize?: number;
  /** Where each column begins (mm). */
  at: readonly number[];
  rows: readonly CardRow[];
  /** Lines under the table. */
  foot: readonly string[];
}) {
  const footTop = FOOT_END - FOOT_STEP * (foot.length - 1);
  const step = Math.min(7, (footTop - TOP - 7) / Math.max(rows.length, 1));
  const size = Math.min(mostSize, step * 0.72);
  return (
    <>
      {heads.map((head, index) => (
        <text key={head} x={at[index]} y={TOP} fontSize={headSize} fill="#43555d">
          {head}
        </text>
      ))}
      <path d={`M5 ${TOP + 1.4}H${A6.width - 5}`} stroke="#14232b" strokeWidth={0.5} />
      {rows.map((row, index) => {
        const y = TOP + 1.4 + (index + 0.78) * step;
        return (
          <g key={index}>
            {row.cells.map((cell, column) => (
              <text
                key={column}
                x={at[column]}
                y={y}
                fontSize={column === row.cells.length - 1 ? size * 0.72 : size}
                fontWeight={row.strong || (column >= boldFrom && column <= boldTo) ? 700 : 400}
                fill="#14232b"
                textDecoration={struck.includes(column) ? 'line-through' : undefined}
              >
                {cell}
              </text>
            ))}
            <path d={`M5 ${y + 0.22 * step}H${A6.width - 5}`} stroke="#c3cdca" strokeWidth={0.2} />
          </g>
        );
      })}
      {foot.map((words, index) => (
        <text key={words} x={5} y={footTop + FOOT_STEP * index} fontSize={2.5} fill="#43555d">
          {words}
        </text>
      ))}
    </>
  );
}
