'use client';

import type { LoadRecord, RigRecord } from '@/core/record/record';
import { VirtualBench } from '@/components/bench/VirtualMark';
import { TextField } from '@/components/fields/TextField';
import { useRig } from '@/components/rig/RigProvider';
import { Button } from '@/components/ui/Button';
import { Card, Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { ColourChecks } from './ColourChecks';
import { LayItOn } from './LayItOn';
import { LengthQuestion } from './LengthQuestion';
import { LapsPassed } from './LapsPassed';
import { OtherRulers } from './OtherRulers';
import type { Winding } from './useWinding';
import { asShown, handleTurns, lapWords, tieWords, whyReadingsDiffer } from './windingWords';

/** Level under the rim when a segment is all on (m), as the rest is now solved. */
function levelAfterM(record: RigRecord, winding: Winding, segmentId: string): number {
  const segment = winding.outlook?.line.segments.find((candidate) => candidate.id === segmentId);
  return (record.reel.fullDiameterM.value - (segment?.outerDiameterM ?? NaN)) / 2;
}

/** The segment that goes on now: what to tie, where to stop, what the counter says at its end. */
export function WindNext({ load, winding, onBench }: { load: LoadRecord; winding: Winding; onBench: () => void }) {
  const { record } = useRig();
  const { format } = useUnits();
  const { counter } = record.reel;
  if (!winding.next) return null;
  const { segment, now } = winding.next;
  const material = record.products.find((product) => product.id === segment.productId)?.material;
  return (
    <Card
      title={`Wind on: ${segment.name}`}
      aside={
        <Button weight="quiet" onClick={onBench}>
          Bench mode
        </Button>
      }
    >
      <ol className="mb-4 list-decimal space-y-1 pl-5">
        <li>{tieWords(record, load.segments, segment)}</li>
        <li>
          Lock the drag, clicker off. Lay it on square to the flange; wind with the {record.reel.windHand} hand,{' '}
          {record.reel.windHand === 'right' ? 'clockwise' : 'anticlockwise'} seen from the handle.
        </li>
        {counter && <li>Zero the counter now. It will run backwards from 000.</li>}
        <li>
          {segment.lengthKnown
            ? `Wind all ${format.length(now.lengthM)} on and note where the counter stands.`
            : `Stop after ${format.length(now.lengthM)} of true line.`}
        </li>
      </ol>
      <LayItOn record={record} segment={segment} now={now} first={load.winding.length === 0} />
      {counter && now.stopReading !== null ? (
        <div className="mb-4 flex flex-wrap items-end gap-x-8 gap-y-1">
          <p>
            <span className="block text-sm text-ink-soft">
              {segment.lengthKnown ? 'it should end near' : 'stop at'} {lapWords(now.stopLaps, counter.digits)}
            </span>
            <span className="figures text-6xl font-bold" data-testid="stop-reading">
              {asShown(now.stopReading, counter.digits)}
            </span>
          </p>
          <p className="text-sm text-ink-soft">
            ± {format.counts(now.stopPlusMinus)} (95 of 100);
            <br />
            by length alone people would stop at{' '}
            <b className="figures">{asShown(now.naiveStopReading ?? 0, counter.digits)}</b>;
            <br />
            {whyReadingsDiffer(now, counter)}
          </p>
        </div>
      ) : (
        <p className="mb-4">
          <span className="figures text-4xl font-bold">{format.counts(now.turns)}</span> spool turns
          {handleTurns(record.reel, now.turns, format)}, or{' '}
          <span className="figures font-bold">{format.length(now.lengthM)}</span> by a meter, or until the level lies{' '}
          <span className="figures font-bold">{format.small(levelAfterM(record, winding, segment.segmentId))}</span>{' '}
          under the rim.
        </p>
      )}
      {material === 'lead core' && (
        <Caution>
          Lead: wash your hands afterwards, keep scraps out of the water and away from children. Some waters restrict
          it.
        </Caution>
      )}
      {counter && <ColourChecks winding={winding} digits={counter.digits} />}
      {winding.soFar && (
        <p className="mt-2 text-sm text-ink-soft" aria-live="polite">
          By that reading {format.length(winding.soFar.lengthM)} are on: layer {winding.soFar.layer} of about{' '}
          {winding.soFar.layers}.
        </p>
      )}
      {counter && <LapsPassed winding={winding} counter={counter} />}
      <div className="mt-4 flex flex-wrap items-end gap-2">
        {counter && (
          <div className="w-40">
            <TextField
              label="Counter reads"
              inputMode="numeric"
              figures
              value={winding.text}
              onChange={winding.type}
              error={winding.problem}
            />
          </div>
        )}
        {!winding.asked && (
          <Button weight="main" disabled={winding.busy || !winding.canNote} onClick={() => void winding.note()}>
            {counter ? 'Note this reading' : 'It is on'}
          </Button>
        )}
      </div>
      {winding.canNote && <LengthQuestion winding={winding} />}
      <OtherRulers winding={winding} hasCounter={counter !== null} gearRatio={record.reel.gearRatio} />
      {record.hasVirtualReel && (
        <div className="mt-4">
          <VirtualBench instrument="counter reel">
            <Button disabled={winding.busy} onClick={() => void winding.windVirtually()}>
              Wind it on the virtual reel
            </Button>
            {winding.colours.some((colour) => colour.readReading === null) && (
              <Button disabled={winding.busy} onClick={() => void winding.windVirtuallyToColour()}>
                Wind to the next colour
              </Button>
            )}
          </VirtualBench>
        </div>
      )}
    </Card>
  );
}
