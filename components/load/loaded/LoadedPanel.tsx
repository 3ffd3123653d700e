'use client';

import type { LoadRecord } from '@/core/record/record';
import { woundLengths } from '@/core/rig/load/woundLengths';
import { SpoolAtCursor } from '@/components/line/SpoolSection';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card } from '@/components/ui/Card';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { showFold } from '@/components/ui/folds';
import { topShotCare } from '@/core/rig/load/topShotCare';
import { stationPath } from '@/components/shell/paths';
import { LinkButton } from '@/components/ui/LinkButton';
import { useUnits } from '@/components/units/UnitsProvider';
import { ReelKnowledge } from '../reel/ReelKnowledge';
import { LAID_BY_WORDS } from '../wind/tensionWords';
import { stillOver } from '@/core/rig/load/stillOver';
import { stoppedWords } from '../wind/windingWords';
import { LineChanges } from './LineChanges';
import { LineLost } from './LineLost';
import { TopShotCard } from './TopShotCard';

/** A share of its packing by which a line may be off and be said to pack as believed: a per cent that rounds to none. */
const AS_BELIEVED = 0.005;

/** A finished load: what is really on, and what has changed since. */
export function LoadedPanel({ load, onPlan }: { load: LoadRecord; onPlan: () => void }) {
  const { record, view } = useRig();
  const { format } = useUnits();
  if (!view) return null;
  const { line, packingFactor, levelMeasured } = view.current;
  const levelM = load.levelBelowRimM;
  const lengths = woundLengths(record, load, view.current);
  const top = load.segments.findLast((segment) => segment.wound);
  const care = topShotCare(record);
  const worn = care && care.verdict !== 'fresh' ? care : null;
  const uncut = record.reel.counter !== null && record.calibration?.loadId !== load.id;
  return (
    <div className="grid gap-4 lg:grid-cols-[3fr_2fr]">
      <div className="flex min-w-0 flex-col gap-4">
        <Card title="What is on the reel">
          {uncut && top && (
            <p role="note" className="mb-3 border-l-4 border-warn bg-warn/10 px-3 py-2 text-sm">
              <b>Leave the supply end of {top.name.toLowerCase()} uncut</b> until the Count station has accepted the
              counter: the correction may want line on or off.
            </p>
          )}
          <p className="figures text-4xl font-bold">
            {format.length(line.totalLengthM)}{' '}
            <span className="text-lg">
              {levelM === null
                ? 'on, the level not measured'
                : `on, ${format.small(Math.abs(levelM))} ${levelM >= 0 ? 'under' : 'above'} the rim`}
            </span>
          </p>
          <p className="mb-3">
            {levelM === null
              ? 'The level was not measured, so lengths and diameters rest on the believed packing.'
              : `By that level this line packs ${Math.abs(packingFactor - 1) < AS_BELIEVED ? 'as believed' : `${format.percent(Math.abs(packingFactor - 1))} ${packingFactor >= 1 ? 'tighter' : 'looser'} than believed`}, and every diameter below follows the measurement.`}
            {levelM !== null &&
              levelM < 0 &&
              ' That is overfull: it rubs the frame, and each turn takes more line than the counter thinks.'}
          </p>
          <LaidSo load={load} />
          {!levelMeasured && (
            <p className="mt-2 text-sm text-ink-soft">A measured level would narrow every ± on this rig.</p>
          )}
          <div className="mt-4 flex flex-wrap gap-2">
            {uncut ? (
              <LinkButton href={stationPath(record.boat.id, record.id, 'count')}>Test the counter</LinkButton>
            ) : (
              worn && (
                <Button weight="main" onClick={() => showFold('top-shot-care')}>
                  Look after the {worn.segment.name.toLowerCase()}
                </Button>
              )
            )}
            <Button onClick={onPlan}>Plan a new load</Button>
          </div>
        </Card>
        <CollapsibleCard
          id="segments"
          title="Segment by segment"
          line={`${load.segments.length} segments: planned, now on, noted at their ends`}
        >
          <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Segments as wound">
            <table className="w-full text-sm">
              <thead>
                <tr className="border-b-2 border-ink text-left">
                  <th className="py-1 pr-3">from the arbor</th>
                  <th className="py-1 pr-3">planned</th>
                  <th className="py-1 pr-3">now on</th>
                  <th className="py-1 pr-3">noted at its end</th>
                  <th className="py-1">wound over</th>
                </tr>
              </thead>
              <tbody>
                {load.segments.map((segment) => {
                  const now = line.segments.find((candidate) => candidate.id === segment.segmentId);
                  const entry = load.winding.find((candidate) => candidate.segmentId === segment.segmentId);
                  return (
                    <tr key={segment.segmentId} className="border-b border-edge">
                      <td className="py-1.5 pr-3 font-semibold">{segment.name}</td>
                      <td className="figures py-1.5 pr-3 whitespace-nowrap">{format.length(segment.plannedLengthM)}</td>
                      <td className="figures py-1.5 pr-3 whitespace-nowrap">
                        {now ? format.length(now.lengthM, lengths[now.id]?.plusMinus) : 'gone'}
                      </td>
                      <td className="figures py-1.5 pr-3">
                        {segment.wound ? (entry ? stoppedWords(record, segment, entry, format.length) : '') : 'by hand'}
                      </td>
                      <td className="figures py-1.5 whitespace-nowrap">
                        {now?.wound ? `${format.small(now.innerDiameterM)} – ${format.small(now.outerDiameterM)}` : ''}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </CollapsibleCard>
        <TopShotCard load={load} />
        <LineLost load={load} />
        <LineChanges load={load} />
      </div>
      <div className="flex flex-col gap-4">
        <Card title="The spool">
          <SpoolAtCursor view={view} />
        </Card>
        <ReelKnowledge />
      </div>
    </div>
  );
}

/** How it was laid on, and what is still to go of a fill that is over on purpose. */
function LaidSo({ load }: { load: LoadRecord }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { laidBy, tensionN, shims } = load;
  const how = [
    ...(laidBy ? [`tension from ${LAID_BY_WORDS[laidBy]}`] : []),
    ...(tensionN === null ? [] : [`${format.force(tensionN)} by the scale`]),
    ...(shims === null ? [] : [`${shims} shim washer${shims === 1 ? '' : 's'} under the spool`]),
  ];
  const over = stillOver(record, load);
  return (
    <>
      {how.length > 0 && <p className="mt-2 text-sm text-ink-soft">Laid on with {how.join(', ')}.</p>}
      {over && (
        <p className="mt-2 text-sm">
          Filled over on purpose: {format.length(over.leftM)} still to go
          {over.knots !== null && `, about ${over.knots} leader knot${over.knots === 1 ? '' : 's'}`}, then the level is
          right.
        </p>
      )}
    </>
  );
}
