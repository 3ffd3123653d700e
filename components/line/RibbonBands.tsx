import { JOIN_KINDS } from '@/core/joins/joinKinds';
import type { JoinRecord } from '@/core/record/record';
import type { LineScale } from './lineScale';
import type { Plane } from './plane';
import type { LineBand } from '@/core/rig/view/bandsOfLine';
import { MATERIAL_FILL, SHEATH_FILL, UNKNOWN_SHEATH } from './lineColours';

/** Pixels across the thickest line of a rig. */
const THICKEST_PX = 20;
/** Average width of a letter of the label's size (px). */
const LETTER_PX = 6.6;

/** How many times thicker than long the line is drawn: stated beside the ribbon. */
export function exaggeration(bands: readonly LineBand[], scale: LineScale): number {
  const thickestM = Math.max(...bands.map((band) => band.lineDiameterM));
  return THICKEST_PX / thickestM / scale.pxPerM;
}

interface Props {
  readonly plane: Plane;
  readonly scale: LineScale;
  readonly bands: readonly LineBand[];
  readonly joins: readonly JoinRecord[];
  /** Where marks are tied or inked (m from the hook), and how they look. */
  readonly marks: readonly { readonly id: string; readonly atM: number; readonly looks: string }[];
  readonly across: number;
  readonly format: { length(m: number): string };
  readonly named: boolean;
}

/** The line as bands as thick as it is, lead core in its own colours, joins as lettered rings. */
export function RibbonBands({ plane, scale, bands, joins, marks, across, format, named }: Props) {
  const thickestM = Math.max(...bands.map((band) => band.lineDiameterM));
  const breakPx = scale.breakAtM === null ? null : scale.toPx(scale.breakAtM);
  return (
    <g>
      {bands.map((band) => {
        const thickness = Math.max(1.5, (THICKEST_PX * band.lineDiameterM) / thickestM);
        return (
          <Band key={band.segmentId} band={band} plane={plane} scale={scale} across={across} thickness={thickness} />
        );
      })}
      {breakPx !== null && <BreakMark plane={plane} along={breakPx} across={across} />}
      {bands.map((band) => {
        const here = joins.filter((candidate) => candidate.outerSegmentId === band.segmentId);
        const at = { plane, along: scale.toPx(band.toM), across };
        return here.length > 0 && <JoinMark key={`join ${band.segmentId}`} structures={here} {...at} />;
      })}
      {marks.map((mark) => (
        <line
          key={mark.id}
          {...plane.acrossLine(scale.toPx(mark.atM), across - 15, across + 15)}
          className="stroke-chalk"
          strokeWidth={3}
        >
          <title>{mark.looks}</title>
        </line>
      ))}
      {named &&
        bands.map((band) => (
          <BandName key={band.segmentId} band={band} plane={plane} scale={scale} across={across} format={format} />
        ))}
    </g>
  );
}

function Band({
  band,
  plane,
  scale,
  across,
  thickness,
}: {
  band: LineBand;
  plane: Plane;
  scale: LineScale;
  across: number;
  thickness: number;
}) {
  const whole = { colour: null, lengthM: band.toM - band.fromM };
  const pieces = band.colours.length > 0 ? band.colours : [whole];
  return (
    <g>
      {pieces.map(({ colour, lengthM }, index) => {
        const fromM = band.fromM + pieces.slice(0, index).reduce((sum, piece) => sum + piece.lengthM, 0);
        const fill = colour === null ? MATERIAL_FILL[band.material] : (SHEATH_FILL[colour] ?? UNKNOWN_SHEATH);
        return (
          <rect
            key={`${index}-${colour ?? ''}`}
            {...plane.rect(scale.toPx(fromM), scale.toPx(fromM + lengthM), across - thickness / 2, thickness)}
            fill={fill}
            className="stroke-ink/60"
            strokeWidth={0.75}
            strokeDasharray={band.wound ? undefined : '5 3'}
          >
            <title>{colour === null ? `${band.name}: ${band.lineName}` : `${band.name}, ${colour}`}</title>
          </rect>
        );
      })}
    </g>
  );
}

function BandName({
  band,
  plane,
  scale,
  across,
  format,
}: {
  band: LineBand;
  plane: Plane;
  scale: LineScale;
  across: number;
  format: Props['format'];
}) {
  const from = scale.toPx(band.fromM);
  const room = scale.toPx(band.toM) - from;
  const full = `${band.name} ${format.length(band.toM - band.fromM)}`;
  if (plane.orientation === 'upright') {
    // Beside the counter's ruler there is room for a name wherever the band is a text line long.
    if (room < 13) return null;
    const { x, y } = plane.point(from + room / 2, across + 76);
    return (
      <text x={x} y={y} dominantBaseline="central" className="fill-ink text-[13px]">
        {full}
      </text>
    );
  }
  const text = [full, band.name].find((candidate) => candidate.length * LETTER_PX < room - 14);
  if (!text) return null;
  const { x, y } = plane.point(from + room / 2, across + 24);
  return (
    <text x={x} y={y} textAnchor="middle" className="fill-ink text-[12.5px]">
      {text}
    </text>
  );
}

/** What is tied at one place, by the letter of what meets there; dashed until all of it was pulled. */
function JoinMark({
  structures,
  plane,
  along,
  across,
}: {
  structures: readonly JoinRecord[];
  plane: Plane;
  along: number;
  across: number;
}) {
  const { x, y } = plane.point(along, across);
  const meeting = structures.find(({ part }) => part === 'join') ?? structures[0];
  if (!meeting) return null;
  const names = structures.map(
    ({ kind, pullTested }) => `${JOIN_KINDS[kind].name}${pullTested ? ', pull-tested' : ', not pull-tested'}`,
  );
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={8.5}
        className="fill-card stroke-ink"
        strokeWidth={1.6}
        strokeDasharray={structures.every(({ pullTested }) => pullTested) ? undefined : '2.5 2'}
      />
      <text x={x} y={y} textAnchor="middle" dominantBaseline="central" className="fill-ink text-[10.5px] font-bold">
        {JOIN_KINDS[meeting.kind].symbol}
      </text>
      <title>{names.join('; ')}</title>
    </g>
  );
}

/** Two slanted strokes: from here on the backing is drawn squeezed. */
function BreakMark({ plane, along, across }: { plane: Plane; along: number; across: number }) {
  return (
    <g>
      {[0, 5].map((offset) => {
        const a = plane.point(along + offset - 3, across + 14);
        const b = plane.point(along + offset + 3, across - 14);
        return <line key={offset} x1={a.x} y1={a.y} x2={b.x} y2={b.y} className="stroke-ink" strokeWidth={2} />;
      })}
      <title>The backing is drawn squeezed from here on</title>
    </g>
  );
}
