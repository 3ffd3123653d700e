import { lapsOf } from '../../counter/counter';
import type { JoinKind } from '../../joins/joinKinds';
import type { WindingEntryRecord, RigRecord } from '../../record/record';
import { failure, success, type Outcome } from '../../result';
import type { LoadedLine } from '../../spool/loadedLine';
import { atBench } from '../line/atBench';
import { colourChecks } from '../line/colourChecks';
import { counterOf } from '../line/counterOf';
import { plannedLevelM } from '../line/fillOfRig';
import { planForRig, productOf } from '../line/planForRig';
import { windingOutlook } from '../line/windingOutlook';

/** A segment on a run sheet, in the order of winding. */
export interface SheetRow {
  readonly segmentId: string;
  readonly name: string;
  readonly lineName: string;
  readonly wound: boolean;
  /** What is tied before it goes on, and to what; null: to the arbor. */
  readonly joinKind: JoinKind | null;
  readonly tiedTo: string | null;
  readonly lengthM: number;
  /** Half of a 95 % interval (m). */
  readonly lengthPlusMinusM: number;
  /** Where to stop; null without a counter, and by hand. */
  readonly stop: { readonly reading: number; readonly laps: number; readonly plusMinus: number } | null;
  /** Spool turns; null by hand. */
  readonly turns: number | null;
  /** Level under the rim when it is on (m); null by hand. */
  readonly levelAfterM: number | null;
  /** What the counter ought to show at each change of colour. */
  readonly colours: readonly { readonly colour: string; readonly reading: number; readonly plusMinus: number }[];
  /** What was noted at its end; null while it is not on. */
  readonly noted: WindingEntryRecord | null;
}

export interface RunSheet {
  /** The winding that it is of; null while it is a plan. */
  readonly loadId: string | null;
  readonly rows: readonly SheetRow[];
}

/**
 * The run sheet of a rig: of the load that is at the bench, with what was noted of it so far; else of its plan.
 *
 * @returns why there is none: no segments, or a stack that does not fit
 */
export function runSheet(record: RigRecord): Outcome<RunSheet, 'no-segments' | 'does-not-fit'> {
  const bench = atBench(record);
  if (bench.load?.status === 'winding') return success({ loadId: bench.load.id, rows: rowsAtBench(bench) });
  if (record.segments.length === 0) return failure('no-segments');
  const plan = planForRig(record, plannedLevelM(record));
  if (!plan.ok) return plan;
  const counter = counterOf(record);
  const { line, segments } = plan.value;
  const planned = { ...record, load: null };
  const rows = record.segments.flatMap((segment, index): SheetRow[] => {
    const of = segments.find((each) => each.id === segment.id);
    const wound = line.segments.find((each) => each.id === segment.id);
    if (!of || !wound) return [];
    return [
      {
        ...whatOf(record, segment, record.segments[index - 1]?.name ?? null),
        lengthM: of.lengthM.value,
        lengthPlusMinusM: of.lengthM.plusMinus,
        stop:
          counter && of.counts && of.stopReading !== null
            ? { reading: of.stopReading, laps: lapsOf(of.counts.value, counter), plusMinus: of.counts.plusMinus }
            : null,
        turns: segment.wound ? of.turns.value : null,
        levelAfterM: segment.wound ? levelM(record, wound.outerDiameterM) : null,
        colours: coloursOn(planned, { ...segment, segmentId: segment.id }, line),
        noted: null,
      },
    ];
  });
  return success({ loadId: null, rows });
}

function rowsAtBench(record: RigRecord): readonly SheetRow[] {
  const { load } = record;
  const outlook = windingOutlook(record);
  if (!load || !outlook) return [];
  return load.segments.map((segment, index): SheetRow => {
    const now = outlook.remaining.find((each) => each.segmentId === segment.segmentId);
    const wound = outlook.line.segments.find((each) => each.id === segment.segmentId);
    const stop = now?.stopReading ?? segment.stopReading;
    return {
      ...whatOf(record, { ...segment, id: segment.segmentId }, load.segments[index - 1]?.name ?? null),
      lengthM: now?.lengthM ?? wound?.lengthM ?? segment.plannedLengthM,
      lengthPlusMinusM: segment.plannedPlusMinusM,
      stop: stop === null || !now ? null : { reading: stop, laps: now.stopLaps, plusMinus: now.stopPlusMinus },
      turns: segment.wound ? (now?.turns ?? wound?.turns ?? segment.plannedTurns) : null,
      levelAfterM: segment.wound && wound ? levelM(record, wound.outerDiameterM) : null,
      colours: coloursOn(record, segment, outlook.line),
      noted: load.winding.findLast((entry) => entry.segmentId === segment.segmentId) ?? null,
    };
  });
}

function whatOf(
  record: RigRecord,
  segment: { readonly id: string; readonly name: string; readonly productId: string; readonly wound: boolean },
  tiedTo: string | null,
): Pick<SheetRow, 'segmentId' | 'name' | 'lineName' | 'wound' | 'joinKind' | 'tiedTo'> {
  const join = record.planJoins.find((each) => each.part === 'join' && each.outerSegmentId === segment.id);
  const { id: segmentId, name, wound } = segment;
  return {
    segmentId,
    name,
    lineName: productOf(record, segment.productId).name,
    wound,
    joinKind: join?.kind ?? null,
    tiedTo,
  };
}

const levelM = (record: RigRecord, diameterM: number): number => (record.reel.fullDiameterM.value - diameterM) / 2;

function coloursOn(
  record: RigRecord,
  segment: Parameters<typeof colourChecks>[1],
  line: LoadedLine,
): SheetRow['colours'] {
  return colourChecks(record, segment, line).map(({ colour, expectedReading, expectedPlusMinus }) => ({
    colour,
    reading: expectedReading,
    plusMinus: expectedPlusMinus,
  }));
}
