import { ticks } from 'd3-array';
import { fromSi, toSi, type LengthUnit } from '@/core/units/units';
import { lengthsAtReadings, countsAtLength, type RigView } from '@/core/rig/view/rigView';
import type { LineScale } from './lineScale';
import type { Plane } from './plane';

interface RulerMark {
  readonly along: number;
  readonly label: string;
}

interface FoldingRuleProps {
  readonly plane: Plane;
  readonly lengthPx: number;
  readonly across: number;
  readonly thickness: number;
  readonly marks: readonly RulerMark[];
  readonly minor: readonly number[];
  readonly title: string;
  /** Side on which the ticks stand: towards the line. */
  readonly ticksAt: 'start' | 'end';
}

/** A yellow folding rule with black ticks. Labels that would touch are left out. */
function FoldingRule({ plane, lengthPx, across, thickness, marks, minor, title, ticksAt }: FoldingRuleProps) {
  const edge = ticksAt === 'end' ? across + thickness : across;
  const direction = ticksAt === 'end' ? -1 : 1;
  const lying = plane.orientation === 'lying';
  const labels = placeLabels(marks, lengthPx, lying);
  // Beside an upright rule figures stand next to their tick and need the room.
  const tickPx = lying ? 10 : 6;
  const labelAcross = across + thickness / 2 + (ticksAt === 'end' ? -5 : 6);
  return (
    <g className="figures">
      <rect
        {...plane.rect(-10, lengthPx + 10, across, thickness)}
        className="fill-rule stroke-rule-ink/60"
        strokeWidth={1}
        rx={2}
      />
      <path
        d={plane.acrossLines(minor, edge, edge + direction * tickPx * 0.5)}
        className="stroke-rule-ink/70"
        strokeWidth={1}
      />
      <path
        d={plane.acrossLines(
          marks.map(({ along }) => along),
          edge,
          edge + direction * tickPx,
        )}
        className="stroke-rule-ink"
        strokeWidth={1.6}
      />
      {labels.map(({ along, label, anchor }) => (
        <text
          key={along}
          {...plane.point(along, labelAcross)}
          textAnchor={anchor}
          dominantBaseline="central"
          className="fill-rule-ink text-[11px] font-semibold"
        >
          {label}
        </text>
      ))}
      <title>{title}</title>
    </g>
  );
}

interface PlacedLabel extends RulerMark {
  readonly anchor: 'start' | 'middle' | 'end';
}

/** Labels that fit: the first and last stand inside the rule, those between must not touch them. */
function placeLabels(marks: readonly RulerMark[], lengthPx: number, lying: boolean): readonly PlacedLabel[] {
  const roomOf = (label: string): number => (lying ? label.length * 6.7 + 8 : 16);
  const first = marks[0];
  const last = marks.at(-1);
  if (!first || !last) return [];
  const placed: PlacedLabel[] = [];
  let free = -8;
  const end = lengthPx + 9;
  for (const mark of marks) {
    const room = roomOf(mark.label);
    const anchor = !lying ? 'middle' : mark === first ? 'start' : mark.along + room / 2 > end ? 'end' : 'middle';
    const from = anchor === 'start' ? -8 : anchor === 'end' ? end - room : mark.along - room / 2;
    if (from < free || (mark !== last && lying && anchor === 'end')) continue;
    placed.push({ ...mark, anchor, along: anchor === 'start' ? -6 : anchor === 'end' ? end - 3 : mark.along });
    free = from + room;
  }
  return placed;
}

/** Values of a ruler: denser before a break of the scale, only the end beyond it. */
function rulerValues(end: number, breakAt: number | null, pxAvailable: number): { major: number[]; minor: number[] } {
  const dense = breakAt ?? end;
  const count = Math.max(3, Math.floor(pxAvailable / 70));
  const major = ticks(0, dense, count);
  const step = (major[1] ?? end) - (major[0] ?? 0);
  return { major, minor: step > 0 ? ticks(0, dense, count * 5) : [] };
}

/** True length above the line. */
export function TrueRuler({
  plane,
  scale,
  across,
  thickness,
  unit,
}: {
  plane: Plane;
  scale: LineScale;
  across: number;
  thickness: number;
  unit: LengthUnit;
}) {
  const end = fromSi('length', scale.totalM, unit);
  const breakAt = scale.breakAtM === null ? null : fromSi('length', scale.breakAtM, unit);
  const { major, minor } = rulerValues(end, breakAt, scale.toPx(scale.breakAtM ?? scale.totalM));
  const at = (value: number): number => scale.toPx(toSi('length', value, unit));
  const marks = major.map((value) => ({ along: at(value), label: value === 0 ? `0 ${unit}` : String(value) }));
  if (breakAt !== null) marks.push({ along: scale.lengthPx, label: end.toFixed(0) });
  return (
    <FoldingRule
      plane={plane}
      lengthPx={scale.lengthPx}
      across={across}
      thickness={thickness}
      marks={marks}
      minor={minor.map(at)}
      title="True length from the hook"
      ticksAt="end"
    />
  );
}

/** What the counter shows, below the line; turns of the spool where there is no counter. */
export function CounterRuler({
  plane,
  scale,
  view,
  across,
  thickness,
}: {
  plane: Plane;
  scale: LineScale;
  view: RigView;
  across: number;
  thickness: number;
}) {
  const { line } = view.current;
  const end = countsAtLength(view, line.woundLengthM);
  const denseEnd = scale.breakAtM === null ? null : countsAtLength(view, scale.breakAtM - line.handLinedLengthM);
  const { major, minor } = rulerValues(end, denseEnd, scale.toPx(scale.breakAtM ?? scale.totalM));
  const name = plane.orientation === 'upright' ? '' : view.counter ? ' counter' : ' turns';
  const marks = lengthsAtReadings(view, major).map(({ reading, lengthOutM }) => ({
    along: scale.toPx(lengthOutM),
    label: reading === 0 ? `0${name}` : String(reading),
  }));
  if (denseEnd !== null) marks.push({ along: scale.lengthPx, label: end.toFixed(0) });
  const minorPx = lengthsAtReadings(view, minor).map(({ lengthOutM }) => scale.toPx(lengthOutM));
  const title = view.counter ? 'Counter reading' : 'Spool turns: this reel has no counter';
  return (
    <FoldingRule
      plane={plane}
      lengthPx={scale.lengthPx}
      across={across}
      thickness={thickness}
      marks={marks}
      minor={minorPx}
      title={title}
      ticksAt="start"
    />
  );
}
