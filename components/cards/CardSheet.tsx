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
      fontFamily="Recursive Text, Recursive Variable, Recursive, system-ui, sans-serif"
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

/** A figure with its ± small beside it. */
function Cell({ words, size }: { words: string; size: number }) {
  const at = words.indexOf('±');
  if (at === -1) return words;
  return (
    <>
      {words.slice(0, at).trim()}
      <tspan fontSize={size * (at === 0 ? 0.85 : 0.62)} fontWeight={400}>
        {words.slice(at)}
      </tspan>
    </>
  );
}

/** Size of a mark that has to stand in two lines, by that of the figures. */
const SMALL_MARK = 0.54;

/** Words in at most two lines of so many letters; what does not fit even there is cut. */
function inTwoLines(words: string, letters: number): readonly string[] {
  if (words.length <= letters) return [words];
  const small = Math.floor((letters * 0.72) / SMALL_MARK);
  const fits = (line: string): string => (line.length <= small ? line : `${line.slice(0, small - 1)}…`);
  const at = words.lastIndexOf(' ', small);
  return at <= 0 ? [fits(words)] : [words.slice(0, at), fits(words.slice(at + 1))];
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
  markLetters = Infinity,
}: {
  /** Each in as many lines as it is given, under one another. */
  heads: readonly (string | readonly string[])[];
  /** Letters that the last column has room for; a longer mark stands in two lines. */
  markLetters?: number;
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
      {heads.map((head, index) =>
        [head].flat().map((words, line, { length }) => (
          <text
            key={`${index} ${line}`}
            x={at[index]}
            y={TOP - (length - 1 - line) * headSize * 1.05}
            fontSize={headSize}
            fill="#43555d"
          >
            {words}
          </text>
        )),
      )}
      <path d={`M5 ${TOP + 1.4}H${A6.width - 5}`} stroke="#14232b" strokeWidth={0.5} />
      {rows.map((row, index) => {
        const y = TOP + 1.4 + (index + 0.78) * step;
        return (
          <g key={index}>
            {row.cells.map((cell, column) => {
              const isMark = column === row.cells.length - 1;
              const lines = isMark ? inTwoLines(cell, markLetters) : [cell];
              const own = isMark ? size * (lines.length > 1 ? SMALL_MARK : 0.72) : size;
              return lines.map((words, line) => (
                <text
                  key={`${column} ${line}`}
                  x={at[column]}
                  y={y - (lines.length - 1 - line) * own * 1.05 + (lines.length > 1 ? 0.1 * step : 0)}
                  fontSize={own}
                  fontWeight={row.strong || (column >= boldFrom && column <= boldTo) ? 700 : 400}
                  fill="#14232b"
                  textDecoration={struck.includes(column) ? 'line-through' : undefined}
                >
                  <Cell words={words} size={own} />
                </text>
              ));
            })}
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
