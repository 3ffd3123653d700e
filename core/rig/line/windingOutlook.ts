import { countsForLine, lapsOf, naiveStopReading, stopReading } from '../../counter/counter';
import { asWound } from '../../load/asWound';
import { buildLoadedLine, type LoadedLine, type SegmentToLoad } from '../../spool/loadedLine';
import { oncePer } from '../../oncePer';
import { solveSegment, type SegmentToSolve } from '../../spool/solveSegment';
import type { Known } from '../../provenance/source';
import { colourChecks, constantFromColours, type ColourCheck } from './colourChecks';
import { counterOf } from './counterOf';
import { productOf, strainOf } from './planForRig';
import { outlookErrors } from './outlookLevel';
import { measuredLevels, woundSegments } from './woundSegments';
import { IMPOSSIBLE_ABOVE_RIM_M } from '../../load/defaults';
import { heldOutOf } from './currentLine';
import type { LevelRecord, LoadSegmentRecord, RigRecord } from '../../record/record';

/** A segment that is still to be wound, as it now has to be. */
export interface RemainingSegment {
  readonly segmentId: string;
  readonly lengthM: number;
  readonly stopReading: number | null;
  /** How often the counter passes zero on the way there. */
  readonly stopLaps: number;
  /** How far the counter may stand from there with that length on (counts; half of a 95 % interval); turns without a counter. */
  readonly stopPlusMinus: number;
  readonly naiveStopReading: number | null;
  readonly turns: number;
}

/** A length before and after a change (m). */
export interface ChangedLength {
  readonly name: string;
  readonly fromM: number;
  readonly toM: number;
}

export interface WindingOutlook {
  readonly remaining: readonly RemainingSegment[];
  /** Where the finished level will lie under the rim (m), and where it was meant to. */
  readonly levelBelowRimM: number;
  /** How far that is still open: half of a 95 % interval (m). */
  readonly levelPlusMinusM: number;
  readonly plannedLevelBelowRimM: number;
  /** Levels noted so far that no believable packing gives: nothing rests on them. */
  readonly heldOutLevels: readonly LevelRecord[];
  /** The worked-out segment as it was solved again to meet the planned level, with what it was before; null when it was not. */
  readonly changed: ChangedLength | null;
  /**
   * The change of a typed length that would meet the planned level after all: for a person to agree to, never done by itself. Null
   * where nothing needs to change, or nothing can.
   */
  readonly offer: (ChangedLength & { readonly segmentId: string; readonly isPiece: boolean }) | null;
  /** True where the level would end higher over the rim than line stays on: nothing more goes on before that is answered. */
  readonly mustAsk: boolean;
  /** The spool as it is wound so far, and with what is still to come. */
  readonly line: LoadedLine;
  /** Colour changes of each lead core on this load, by its segment. */
  readonly colours: Readonly<Record<string, readonly ColourCheck[]>>;
  /** The counter's constant as colour changes have corrected it (m per turn); null where none was noted. */
  readonly correctedConstantM: Known | null;
}

/** A change of length below this (m) is not worth a hand's trouble; a whole count of every segment that is on comes to it. */
const WORTH_CHANGING_M = 0.5;

/**
 * What winding comes to from here: the segments that are on, as their readings and levels say, and the rest. Where the worked-out
 * segment is still to come it is solved again for the level that was planned. Else the level gives: a length that was typed stays
 * as it was typed, and the change that would meet the level is only offered.
 *
 * Colour changes noted on the way are a ruler of ten yards each: they correct the counter's constant, and with it every
 * stop reading that follows.
 *
 * @param record a rig that is being wound
 * @returns null when nothing is being wound
 */
export const windingOutlook = oncePer((record: RigRecord): WindingOutlook | null => {
  const first = outlookOf(record);
  const { load } = record;
  if (!first || !load) return null;
  const checks = (of: RigRecord, line: LoadedLine): WindingOutlook['colours'] =>
    Object.fromEntries(load.segments.map((segment) => [segment.segmentId, colourChecks(of, segment, line)]));
  const colours = checks(record, first.line);
  const constant = constantFromColours(record, Object.values(colours).flat());
  if (!constant) return { ...first, colours, correctedConstantM: null };
  const corrected = { ...record, calibration: null, knowledge: { ...record.knowledge, lengthPerTurnM: constant } };
  const again = outlookOf(corrected) ?? first;
  return { ...again, colours: checks(corrected, again.line), correctedConstantM: constant };
});

function outlookOf(record: RigRecord): Omit<WindingOutlook, 'colours' | 'correctedConstantM'> | null {
  const { load } = record;
  if (load?.status !== 'winding') return null;
  const spool = { arborDiameterM: record.reel.arborDiameterM.value, widthM: record.reel.widthM.value };
  const isOn = (segmentId: string): boolean => load.winding.some((entry) => entry.segmentId === segmentId);
  // A change that was agreed to serves the level that was planned: it does not plan another one.
  const planned = buildLoadedLine(
    spool,
    load.segments.map((segment) => ({
      ...asPlanned(record, segment),
      lengthM: segment.agreedFromM ?? segment.plannedLengthM,
    })),
  );
  const onSegments = woundSegments(record, load).filter((segment) => isOn(segment.id));
  const on = asWound(
    spool,
    onSegments,
    measuredLevels(record, load).filter((level) => isOn(level.afterSegmentId)),
  );
  const learned = (segment: LoadSegmentRecord): SegmentToLoad => {
    // The same line packs alike on the same reel: what was measured below holds for what is still to come.
    const alike = load.segments.find((other) => other.productId === segment.productId && isOn(other.segmentId));
    const packing = alike && on.line.segments.find((candidate) => candidate.id === alike.segmentId)?.packing;
    return { ...asPlanned(record, segment), packing: packing ?? segment.packing };
  };
  const rest = load.segments.filter((segment) => !isOn(segment.segmentId));
  const fixed: SegmentToLoad[] = [...on.line.segments, ...rest.map(learned)];
  const free = load.winding.length > 0 ? rest.find((segment) => segment.wound && segment.solved) : undefined;
  const counter = counterOf(record);
  const asItLies = buildLoadedLine(spool, fixed);
  const lengthToMeet = (segment: LoadSegmentRecord | undefined): [LoadedLine, number | undefined] => {
    const line = segment ? adjusted(spool, fixed, segment.segmentId, planned.fullDiameterM) : asItLies;
    return [line, line.segments.find((each) => each.id === segment?.segmentId)?.lengthM];
  };
  const [met, toM] = lengthToMeet(free);
  // Readings are whole counts: what they leave open is no reason to change anything.
  const openM = WORTH_CHANGING_M + load.winding.length * (counter?.unitM ?? 0);
  const changes = free !== undefined && toM !== undefined && Math.abs(toM - free.plannedLengthM) > openM;
  const line = changes ? met : asItLies;
  const rimM = record.reel.fullDiameterM.value;
  const errors = outlookErrors(record, load, line);
  return {
    line,
    remaining: rest.flatMap((segment) => {
      const now = line.segments.find((candidate) => candidate.id === segment.segmentId);
      if (!now) return [];
      return {
        segmentId: segment.segmentId,
        lengthM: now.lengthM,
        turns: now.turns,
        stopReading: counter && segment.wound ? stopReading(now, counter) : null,
        stopLaps: counter && segment.wound ? lapsOf(countsForLine(now, counter), counter) : 0,
        stopPlusMinus: errors.stops[segment.segmentId] ?? NaN,
        naiveStopReading: counter && segment.wound ? naiveStopReading(now.lengthM, counter) : null,
      };
    }),
    levelBelowRimM: (rimM - line.fullDiameterM) / 2,
    levelPlusMinusM: errors.levelM,
    plannedLevelBelowRimM: (rimM - planned.fullDiameterM) / 2,
    heldOutLevels: heldOutOf(load, on.heldOut),
    changed: changes ? { name: free.name, fromM: free.plannedLengthM, toM } : null,
    offer: free || load.winding.length === 0 ? null : offered(rest, lengthToMeet, openM),
    mustAsk: rest.length > 0 && (rimM - line.fullDiameterM) / 2 < -IMPOSSIBLE_ABOVE_RIM_M,
  };
}

/** The typed length whose change would meet the level: the outermost stretch that is still to come, a whole piece only as the last. */
function offered(
  rest: readonly LoadSegmentRecord[],
  lengthToMeet: (segment: LoadSegmentRecord) => readonly [LoadedLine, number | undefined],
  openM: number,
): WindingOutlook['offer'] {
  const open = rest.filter((segment) => segment.wound);
  const segment = open.findLast((each) => !each.lengthKnown) ?? open.at(-1);
  if (!segment) return null;
  const [, toM] = lengthToMeet(segment);
  if (toM === undefined || Math.abs(toM - segment.plannedLengthM) <= openM) return null;
  const { segmentId, name, plannedLengthM: fromM, lengthKnown: isPiece } = segment;
  return { segmentId, name, fromM, toM, isPiece };
}

function asPlanned(record: RigRecord, segment: LoadSegmentRecord): SegmentToLoad {
  const { segmentId: id, name, productId, plannedLengthM: lengthM, lineDiameterM, packing, wound } = segment;
  const strain = strainOf(productOf(record, productId)).value;
  return { id, name, lengthM, lineDiameterM, packing, strain, wound };
}

/** The line with one segment solved for a level; with its planned length when that cannot be met. */
function adjusted(
  spool: LoadedLine['spool'],
  fixed: readonly SegmentToLoad[],
  freeId: string,
  diameterM: number,
): LoadedLine {
  const open = fixed.map((segment): SegmentToSolve =>
    segment.id === freeId ? { ...segment, lengthM: null } : segment,
  );
  const solved = solveSegment(spool, open, diameterM);
  return solved.ok ? solved.value.line : buildLoadedLine(spool, fixed);
}
