'use client';

import type { RigRecord } from '@/core/record/record';
import { atBench } from '@/core/rig/line/atBench';
import { runSheet, type RunSheet, type SheetRow } from '@/core/rig/load/runSheet';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import { windingPath } from '@/components/shell/paths';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { dayWords } from '@/words/dates';
import { asShown, lapWords, stoppedWords } from '@/components/load/wind/windingWords';
import { PageCode } from './PageCode';

/** One load on paper: what is tied, how much goes on, where to stop, what to check, with boxes to tick and to write in. */
export function RunSheetPage({ record }: { record: RigRecord }) {
  const { format } = useUnits();
  const say = useSay();
  const sheet = runSheet(record);
  return (
    <article
      className="run-sheet border border-edge bg-card p-5 text-ink print:border-0 print:p-0"
      aria-label={record.name}
    >
      <header className="mb-3 flex items-start justify-between gap-4 border-b-2 border-ink pb-2">
        <div>
          <h2 className="lettered text-2xl">{record.name}</h2>
          <p className="text-sm">
            {record.boat.name} · {record.reel.name} · {sheet.ok && sheet.value.loadId ? 'at the bench' : 'as planned'},{' '}
            {dayWords(record.readAt)}
          </p>
          <p className="mt-1 text-sm">
            Winds with the {record.reel.windHand} hand.{' '}
            {record.reel.counter
              ? 'Zero the counter before each segment: it runs backwards from 000.'
              : 'No counter: stop by turns, a meter or the level.'}
            {record.reel.gearRatio !== null && ` Gear ratio ${record.reel.gearRatio}.`}
          </p>
        </div>
        {sheet.ok && (
          <PageCode
            path={windingPath(record.boat.id, record.id, sheet.value.loadId)}
            says={sheet.value.loadId === null ? 'this rig' : 'this very winding'}
          />
        )}
      </header>
      {sheet.ok ? <SheetBody record={record} sheet={sheet.value} /> : <p>{say(sheet)}</p>}
      <footer className="mt-4 grid grid-cols-2 gap-x-6 gap-y-4 text-sm sm:grid-cols-4">
        <Line label="Level under the rim, at three points" />
        <Line label="Tension: from what, how much" />
        <Line label="Wound by" />
        <Line label="Date" />
      </footer>
      <p className="mt-3 text-xs">
        All lengths true, {format.units.length}; ± covers 95 of 100. Lead: wash hands, keep scraps out of the water.
        Braid under tension cuts. Supply uncut until{' '}
        {record.reel.counter ? 'the counter is accepted' : 'the level is right'}.
      </p>
    </article>
  );
}

function Line({ label }: { label: string }) {
  return (
    <p>
      <span className="block h-7 border-b border-ink" />
      <span className="text-xs">{label}</span>
    </p>
  );
}

function SheetBody({ record, sheet }: { record: RigRecord; sheet: RunSheet }) {
  const cell = 'py-2 pr-2 align-top';
  const { counter } = record.reel;
  return (
    <div
      className="overflow-x-auto print:overflow-visible"
      tabIndex={0}
      role="region"
      aria-label={`Run sheet of ${record.name}`}
    >
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left text-xs">
            <th className={cell}>tie</th>
            <th className={cell}>wind on</th>
            <th className={cell}>true length</th>
            <th className={cell}>{counter ? 'stop at' : 'spool turns'}</th>
            <th className={cell}>level after</th>
            <th className={cell}>checks</th>
            <th className={`${cell} w-28`}>it showed</th>
          </tr>
        </thead>
        <tbody>
          {sheet.rows.map((row) => (
            <SheetLine key={row.segmentId} record={record} row={row} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

const BOX = <span aria-hidden className="mr-1 inline-block size-4 border-2 border-ink align-[-2px]" />;

function SheetLine({ record, row }: { record: RigRecord; row: SheetRow }) {
  const { format } = useUnits();
  const { counter, gearRatio } = record.reel;
  const digits = counter?.digits ?? 3;
  const cell = 'py-2 pr-2 align-top';
  const bench = atBench(record);
  const segment = bench.load?.segments.find((each) => each.segmentId === row.segmentId);
  return (
    <tr className="break-inside-avoid border-b border-ink/40">
      <td className={cell}>
        {BOX}
        {row.joinKind ? JOIN_KINDS[row.joinKind].name : 'join'} {row.tiedTo ? `to ${row.tiedTo}` : 'to the arbor'}
      </td>
      <td className={cell}>
        <b>{row.name}</b>
        <span className="block text-xs">{row.lineName}</span>
      </td>
      <td className={`${cell} figures whitespace-nowrap`}>{format.length(row.lengthM, row.lengthPlusMinusM)}</td>
      <td className={`${cell} figures whitespace-nowrap`}>
        {!row.wound && 'by hand'}
        {row.stop && (
          <>
            <span className="block text-xs">{lapWords(row.stop.laps, digits)}</span>
            <b className="text-xl">{asShown(row.stop.reading, digits)}</b>{' '}
            <span className="text-xs">± {format.counts(row.stop.plusMinus)}</span>
          </>
        )}
        {row.wound && !counter && row.turns !== null && (
          <>
            <b className="text-xl">{format.counts(row.turns)}</b>
            {gearRatio !== null && (
              <span className="block text-xs">{format.counts(row.turns / gearRatio)} of the handle</span>
            )}
          </>
        )}
      </td>
      <td className={`${cell} figures whitespace-nowrap`}>
        {row.levelAfterM !== null && (
          <>
            {format.small(row.levelAfterM)}
            <span className="mt-1 block h-4 w-16 border-b border-ink" />
          </>
        )}
      </td>
      <td className={cell}>
        {row.wound && counter && <span className="block whitespace-nowrap">{BOX}zeroed</span>}
        {row.colours.map(({ colour, reading, plusMinus }, index) => (
          <span key={index} className="figures block text-xs whitespace-nowrap">
            {BOX}
            {colour} on: {asShown(reading, digits)} ± {format.counts(plusMinus)}
          </span>
        ))}
      </td>
      <td className={cell}>
        {row.noted && segment ? (
          <span className="text-xs">{stoppedWords(bench, segment, row.noted, (m) => format.length(m))}</span>
        ) : (
          row.wound && <span className="block h-8 border-2 border-ink" />
        )}
      </td>
    </tr>
  );
}
