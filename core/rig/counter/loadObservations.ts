import { type CounterObservation, type LevelObservation, type WoundObservation } from '../../calibration/observations';
import { ERRORS } from '../../measurement/errors';
import { colouredLengthsM } from '../../load/colours';
import { knownCounter } from '../line/counterOf';
import type { CurrentLine } from '../line/currentLine';
import type {
  LevelRecord,
  LoadRecord,
  LoadSegmentRecord,
  RigRecord,
  TrialRecord,
  WindingEntryRecord,
} from '../../record/record';
import { notedCounts } from '../line/woundSegments';

/**
 * What was seen of the load that is on now and still says something of it: the winding log, levels, walks, colours at
 * the tip and spool turns. Line lost since is put back for each; what was seen of a segment that has been replaced
 * since is left out.
 *
 * @param record the rig
 * @param load its load, wound
 * @param current the line as it is now
 */
export function loadObservations(
  record: RigRecord,
  load: LoadRecord,
  current: CurrentLine,
): readonly CounterObservation[] {
  const order = current.line.segments.map((segment) => segment.id);
  const goneSince = (at: string): readonly number[] => {
    return order.map((id) => {
      const changes = load.changes.filter((change) => change.segmentId === id && change.at > at);
      return changes.reduce((sum, change) => sum - change.changeM, 0);
    });
  };
  const whole = (at: string): boolean =>
    !load.replacements.some((each) => each.at > at) &&
    // A segment that is wholly gone leaves nothing to put it back on.
    !load.changes.some((change) => change.at > at && !order.includes(change.segmentId));
  const finishedAt = load.finishedAt ?? '';
  return [
    ...woundOf(record, load, order, goneSince(finishedAt)),
    ...levelsOf(load, current.heldOutLevels, order, goneSince(finishedAt), whole(finishedAt)),
    ...record.trials
      .filter((trial) => trial.loadId === load.id && trial.at >= finishedAt)
      .flatMap((trial) => trialOf(trial, goneSince(trial.at), whole(trial.at))),
  ];
}

/**
 * A test of the counter as an observation; nothing where it says nothing of the line as it lies.
 *
 * @param goneSinceM line gone from each segment since, in the order of the line
 * @param isWhole false where a segment was replaced in between
 */
export function trialOf(
  trial: TrialRecord,
  goneSinceM: readonly number[],
  isWhole: boolean,
): readonly CounterObservation[] {
  const { kind, reading, trueLengthM, turns } = trial;
  if (kind === 'turns') {
    if (turns === null) return [];
    return [{ kind, name: `${turns} spool turns`, turns, reading, betweenFlips: trial.betweenFlips }];
  }
  if (trueLengthM === null || !isWhole) return [];
  const name = kind === 'tape' ? 'walk' : 'colour at the tip';
  const lengthSdM = kind === 'tape' ? ERRORS.walkM.sd : ERRORS.lengthShare.sd * trueLengthM + ERRORS.colourEyeM.sd;
  return [{ kind, name, trueLengthM, lengthSdM, reading, goneSinceM }];
}

function levelsOf(
  load: LoadRecord,
  heldOut: readonly LevelRecord[],
  order: readonly string[],
  goneSinceM: readonly number[],
  isWhole: boolean,
): readonly LevelObservation[] {
  const last = load.segments.findLast((segment) => segment.wound)?.segmentId;
  const read = [
    ...load.levels.filter((level) => level.segmentId !== last || load.levelBelowRimM === null),
    ...(load.levelBelowRimM !== null && last !== undefined
      ? [{ segmentId: last, levelBelowRimM: load.levelBelowRimM }]
      : []),
  ];
  const replaced = (segmentId: string): boolean => load.replacements.some((each) => each.segmentId === segmentId);
  return read.flatMap(({ segmentId, levelBelowRimM }, index): LevelObservation[] => {
    if (heldOut.some((level) => level.segmentId === segmentId)) return [];
    const afterSegment = order.indexOf(segmentId);
    const isOlder = read.findLastIndex((each) => each.segmentId === segmentId) > index;
    if (afterSegment < 0 || isOlder || replaced(segmentId) || (!isWhole && segmentId === last)) return [];
    const name = `level after ${load.segments.find((segment) => segment.segmentId === segmentId)?.name ?? ''}`;
    return [{ kind: 'level', name, afterSegment, levelBelowRimM, levelSdM: ERRORS.levelM.sd, goneSinceM }];
  });
}

/** The winding log: counts of each segment, or of each colour where colours were noted. */
function woundOf(
  record: RigRecord,
  load: LoadRecord,
  order: readonly string[],
  goneSinceM: readonly number[],
): readonly WoundObservation[] {
  return load.segments.flatMap((segment): readonly WoundObservation[] => {
    const at = order.indexOf(segment.segmentId);
    const entry = load.winding.findLast((each) => each.segmentId === segment.segmentId);
    const replaced = load.replacements.some((each) => each.segmentId === segment.segmentId);
    if (!segment.wound || at < 0 || replaced) return [];
    return stopsOf(record, load, segment, entry).map((stop) => ({
      kind: 'wound',
      segment: at,
      goneSinceM,
      ...stop,
    }));
  });
}

/** The inner part of a segment: near enough to say how often the counter has wrapped. */
function partOf(segment: LoadSegmentRecord, share: number) {
  return { plannedTurns: segment.plannedTurns * share, plannedLengthM: segment.plannedLengthM * share };
}

type Stop = Pick<WoundObservation, 'name' | 'fromShare' | 'toShare' | 'reading'>;

function stopsOf(
  record: RigRecord,
  load: LoadRecord,
  segment: LoadSegmentRecord,
  entry: WindingEntryRecord | undefined,
): readonly Stop[] {
  const counter = knownCounter(record);
  if (!counter && entry?.turnsCounted != null) {
    return [{ name: `turns of ${segment.name} going on`, fromShare: 0, toShare: 1, reading: entry.turnsCounted }];
  }
  if (!counter || entry?.reading == null) return [];
  const { reading } = entry;
  const plain = { ...counter, lengthPerTurnM: counter.lengthPerTurnM.value };
  const colours = segment.colours.length;
  const onTheWay = load.colourReadings
    .filter((each) => each.segmentId === segment.segmentId && each.coloursOn < colours)
    .toSorted((a, b) => a.coloursOn - b.coloursOn)
    .map((each) => ({
      on: each.coloursOn,
      share: shareOn(segment, each.coloursOn),
      counts: notedCounts(partOf(segment, shareOn(segment, each.coloursOn)), each.reading, plain),
    }));
  const stops = [
    { on: 0, share: 0, counts: 0 },
    ...onTheWay,
    { on: colours, share: 1, counts: notedCounts(segment, reading, plain, entry.laps) },
  ];
  return stops.slice(1).flatMap((stop, index): Stop[] => {
    const before = stops[index];
    if (!before || stop.counts <= before.counts) return [];
    const name = `${segment.name} going on${stops.length > 2 ? `, colour ${stop.on}` : ''}`;
    return [{ name, fromShare: before.share, toShare: stop.share, reading: stop.counts - before.counts }];
  });
}

/** Share of a segment that is on when so many of its colours are. */
function shareOn({ colours, colourLengthM, plannedLengthM }: LoadSegmentRecord, coloursOn: number): number {
  return colouredLengthsM(colours, plannedLengthM, colourLengthM)
    .slice(0, coloursOn)
    .reduce((share, { fromM, toM }) => share + (toM - fromM) / plannedLengthM, 0);
}

/** True where the winding log alone says how the counter runs: every wound segment noted, and nothing lost since. */
export function wasLogged({ load }: RigRecord): boolean {
  if (load?.status !== 'wound' || load.changes.length > 0 || load.replacements.length > 0) return false;
  const wound = load.segments.filter((segment) => segment.wound);
  return (
    wound.some((segment) => segment.lengthKnown) &&
    wound.every((segment) => load.winding.findLast((each) => each.segmentId === segment.segmentId)?.reading != null)
  );
}

/** A test of the counter that is being noted now, as an observation; null where it says nothing. */
export function trialObservation(
  trial: Omit<TrialRecord, 'id' | 'at' | 'heldOut'>,
  current: CurrentLine,
): CounterObservation | null {
  const gone = current.line.segments.map(() => 0);
  return trialOf({ ...trial, id: '', at: '', heldOut: false }, gone, true)[0] ?? null;
}
