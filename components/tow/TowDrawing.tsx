'use client';

import { line as linePath } from 'd3-shape';
import { useMemo } from 'react';
import { bandsOfLine, type LineBand } from '@/core/rig/view/bandsOfLine';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthAnswer } from '@/core/tow/answerDepth';
import { towOf } from '@/core/tow/depthBelief';
import { firstOf } from '@/core/tow/firstOf';
import { towProfile, type TowProfile } from '@/core/tow/towProfile';
import type { TowedPlace } from '@/core/tow/towedLine';
import { useCursor } from '@/components/line/cursor';
import { MATERIAL_FILL, SHEATH_FILL, UNKNOWN_SHEATH } from '@/components/line/lineColours';
import { useWidth } from '@/components/line/useWidth';
import { useUnits } from '@/components/units/UnitsProvider';
import { depthAlong } from './depthsAlong';
import type { Depth } from './useDepth';

const MARGIN = 40;
/** Room over the water for rod and words (px). */
const SKY = 34;
const MOST_PX = 340;

/** Places of a profile along one stretch of the line, ends included. */
function stretch(profile: readonly TowedPlace[], fromM: number, toM: number): readonly TowedPlace[] {
  const at = (sM: number): TowedPlace | undefined => {
    const after = profile.findIndex((each) => each.sM >= sM - 1e-9);
    const [b, a] = [profile[after], profile[Math.max(after - 1, 0)]];
    if (!a || !b) return undefined;
    const share = b.sM > a.sM ? (sM - a.sM) / (b.sM - a.sM) : 0;
    return { ...b, sM, xM: a.xM + share * (b.xM - a.xM), zM: a.zM + share * (b.zM - a.zM) };
  };
  return [at(fromM), ...profile.filter(({ sM }) => sM > fromM && sM < toM), at(toM)].flatMap((each) => each ?? []);
}

/** Parts of the line in one colour each, from the lure up. */
function coloured(bands: readonly LineBand[], outM: number) {
  return bands.flatMap((band) => {
    const parts =
      band.colours.length > 0
        ? band.colours.map(({ colour, lengthM }) => ({ lengthM, fill: SHEATH_FILL[colour] ?? UNKNOWN_SHEATH }))
        : [{ lengthM: band.toM - band.fromM, fill: MATERIAL_FILL[band.material] }];
    let fromM = band.fromM;
    return parts.flatMap(({ lengthM, fill }) => {
      const part = {
        id: `${band.segmentId} ${fromM}`,
        fromM,
        toM: Math.min(fromM + lengthM, outM),
        fill,
        isThick: band.colours.length > 0,
      };
      fromM += lengthM;
      return part.toM - part.fromM > 1e-6 ? [part] : [];
    });
  });
}

/** The line as it hangs in the water, to scale, with as much out as the cursor says. */
export function TowDrawing({ view, depth, answer }: { view: RigView; depth: Depth; answer: DepthAnswer }) {
  const { format } = useUnits();
  const cursorM = useCursor();
  const { ref, width } = useWidth<HTMLDivElement>(960);
  const stopM = answer.stop.ok ? answer.stop.value.lengthOutM : depth.question.mostM;
  const outM = cursorM > 0 ? Math.min(cursorM, depth.question.mostM) : stopM;
  const { belief, speedMS } = depth.question;
  const drawn = useMemo((): TowProfile => {
    const tow = towOf(belief, speedMS, answer.learned.values);
    return towProfile(firstOf(tow, outM), 1e-6);
  }, [belief, speedMS, answer.learned.values, outM]);
  const { record, current } = view;
  const bands = useMemo(() => bandsOfLine(record, current.line), [record, current.line]);
  const depthM = drawn.depthM ?? 0;
  const setbackM = drawn.setbackM ?? 0;
  const bottomM = belief.bottomM;
  const tipM = belief.tipHeightM;
  const deepM = Math.max(depthM, bottomM !== null && bottomM < 3 * depthM ? bottomM : 0, 1);
  const pxPerM = Math.min((width - 2 * MARGIN) / Math.max(setbackM, 1), (MOST_PX - SKY - 30) / (deepM + tipM));
  const surfacePx = SKY + tipM * pxPerM;
  const height = Math.ceil(surfacePx + deepM * pxPerM + 30);
  // The lure left, the tip right, as on the ribbon.
  const x = (xM: number): number => width - MARGIN - (setbackM - xM) * pxPerM;
  const y = (zM: number): number => surfacePx + (depthM - zM) * pxPerM;
  const path = linePath<TowedPlace>(
    ({ xM }) => x(xM),
    ({ zM }) => y(zM),
  );
  const open = depth.curves && depthAlong(depth.question.lengthsM, depth.curves.along, outM);
  const touches = drawn.status === 'on the bottom';
  const words =
    drawn.depthM === null
      ? drawn.status === 'lifted out'
        ? 'With so little out the tip lifts the lure out of the water.'
        : 'Nothing pulls at the line: it hangs slack.'
      : `With ${format.length(outM)} out it swims ${format.length(depthM, open?.plusMinus)} deep and ${format.length(setbackM)} back${touches ? ': on the bottom' : ''}${drawn.status === 'lies on the surface' ? '; the line floats up to the surface first' : ''}.`;
  return (
    <figure className="m-0 rounded-sm border border-edge bg-card p-3">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-x-4 text-sm">
        <span>
          <b>In the water</b> <span className="text-ink-soft">(both ways to one scale)</span>
        </span>
        {/* Where nobody points, the answer above has said it. */}
        {(cursorM > 0 || touches || drawn.depthM === null) && (
          <span className={touches ? 'font-semibold text-warn' : ''}>{words}</span>
        )}
      </figcaption>
      <div ref={ref}>
        {drawn.depthM !== null && (
          <svg
            width="100%"
            height={height}
            viewBox={`0 0 ${width} ${height}`}
            role="img"
            aria-label={words}
            className="block"
          >
            <Surface width={width} atPx={surfacePx} />
            {bottomM !== null && bottomM <= deepM + 1e-9 && (
              <g>
                <line
                  x1={0}
                  x2={width}
                  y1={surfacePx + bottomM * pxPerM}
                  y2={surfacePx + bottomM * pxPerM}
                  className="stroke-ink"
                  strokeWidth={1.5}
                  strokeDasharray="1 5"
                  strokeLinecap="round"
                />
                <text x={4} y={surfacePx + bottomM * pxPerM - 4} className="figures fill-ink-soft text-[12px]">
                  bottom {format.length(bottomM)}
                </text>
              </g>
            )}
            {coloured(bands, outM).map((part) => {
              const d = path([...stretch(drawn.profile, part.fromM, part.toM)]) ?? '';
              return (
                <g key={part.id} fill="none" strokeLinecap="butt">
                  <path d={d} className="stroke-ink" strokeWidth={part.isThick ? 6.5 : 3.5} />
                  <path d={d} stroke={part.fill} strokeWidth={part.isThick ? 5 : 2.2} />
                </g>
              );
            })}
            <circle cx={x(0)} cy={y(0)} r={5} className="fill-chalk stroke-ink" />
            <text x={Math.max(x(0), 4)} y={y(0) + 20} className="figures fill-ink text-[13px] font-semibold">
              {format.length(depthM)}
            </text>
            <path
              d={`M ${x(setbackM)} ${y(depthM + tipM)} l ${MARGIN - 6} ${Math.min(tipM * pxPerM, SKY)}`}
              className="stroke-ink"
              strokeWidth={3.5}
              strokeLinecap="round"
            />
            <text x={width - 4} y={14} textAnchor="end" className="fill-ink-soft text-[12px]">
              tip, {format.length(tipM)} up
            </text>
          </svg>
        )}
      </div>
    </figure>
  );
}

/** The water's surface: a row of ripples. */
function Surface({ width, atPx }: { width: number; atPx: number }) {
  const ripples = Array.from({ length: Math.ceil(width / 24) }, () => 'q 6 -3 12 0 t 12 0').join(' ');
  return <path d={`M 0 ${atPx} ${ripples}`} fill="none" className="stroke-chalk" strokeWidth={1.2} />;
}
