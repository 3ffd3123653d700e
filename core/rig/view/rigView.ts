import { colouredLengthsM, type ColourLengths } from '../../load/colours';
import { correctionTable } from '../../calibration/correctionTable';
import type { CounterEstimate, EstimateFound } from '../../calibration/estimateCounter';
import { countsAt, lengthAtCounts } from '../../calibration/observations';
import type { Figure } from '../../provenance/figure';
import { spoolStateAt } from '../../spool/loadedLine';
import { weakestWithin, withinReach, type RigStrength, type StrengthPlace } from '../../strength/rigStrength';
import { counterEstimate } from '../counter/counterEvidence';
import { currentLine, type CurrentLine } from '../line/currentLine';
import type { RigRecord } from '../../record/record';
import { acceptedForceN } from '../../record/acceptedDrag';
import { reachOf, type Reach } from '../strength/reach';
import { strengthOfRig } from '../strength/strengthOfRig';
import { windingOutlook } from '../line/windingOutlook';

/** Everything that the lenses over one line need, derived once from its record. */
export interface RigView {
  readonly record: RigRecord;
  readonly current: CurrentLine;
  /** What counts the line: everything known of the counter or, without one, of the spool's turns. */
  readonly ruler: CounterEstimate;
  /** The ruler where it is a counter; null without one. */
  readonly counter: CounterEstimate | null;
  readonly strength: RigStrength | null;
  /** How much of the line may be out, and the strength of that: what lies deeper drives no target. */
  readonly reach: Reach;
  readonly inReach: RigStrength | null;
  /** The drag as it was last set and accepted, or null. */
  readonly setForceN: number | null;
}

/** What of a view takes long to find, as plain data: a server finds it, and sends it along. */
export interface ViewFound extends Omit<RigView, 'record' | 'ruler' | 'counter'> {
  readonly ruler: EstimateFound;
}

/** What was found for a view; null for a rig that has none. */
export function viewFound(record: RigRecord): ViewFound | null {
  const view = rigView(record);
  if (!view) return null;
  const { current, ruler, strength, reach, inReach, setForceN } = view;
  return { current, ruler: ruler.found, strength, reach, inReach, setForceN };
}

/** The view of a rig from what was found for this very record. */
export function viewFrom(record: RigRecord, found: ViewFound): RigView {
  const ruler = counterEstimate(record, found.current, found.ruler);
  return { record, ...found, ruler, counter: record.reel.counter ? ruler : null };
}

/** Derives the view of a rig, or null when it has no line that could be drawn. */
export function rigView(record: RigRecord): RigView | null {
  const current = lineToShow(record);
  if (!current) return null;
  const ruler = counterEstimate(record, current);
  const strength = strengthOfRig(record, current.line);
  const reach = reachOf(record, current.line);
  return {
    record,
    current,
    ruler,
    counter: record.reel.counter ? ruler : null,
    strength,
    reach,
    inReach: strength && withinReach(strength, reach.outM),
    setForceN: acceptedForceN(record),
  };
}

/** While winding the line is what is on and what, from here, still goes on; else the current line. */
export function lineToShow(record: RigRecord): CurrentLine | null {
  const outlook = windingOutlook(record);
  if (outlook && outlook.line.woundLengthM > 0) {
    const { line, heldOutLevels } = outlook;
    return { line, state: 'planned', packingFactor: 1, levelMeasured: false, heldOutLevels };
  }
  const current = currentLine(record);
  return current.ok ? current.value : null;
}

/** What every lens says at one length out. */
export interface CursorReadout {
  readonly lengthOutM: number;
  /** What the counter shows, zeroed with everything on the spool; turns of the spool without a counter. */
  readonly reading: Figure;
  readonly segmentAtTip: string;
  /** Colour of lead core at the tip, or null. */
  readonly colourAtTip: string | null;
  readonly diameterM: number;
  readonly dragFactor: number;
  readonly weakest: StrengthPlace | null;
  /** Pull at the tip with the drag left alone (N), or null while it is not set. */
  readonly tipForceN: number | null;
  /** That pull as a share of the weakest place that is out. */
  readonly share: number | null;
}

/**
 * Reads all lenses at one length from hook to tip.
 *
 * @param view the rig
 * @param lengthOutM length from the hook (m), clamped to the line that there is
 */
export function readCursor(view: RigView, lengthOutM: number): CursorReadout {
  const outM = Math.min(Math.max(lengthOutM, 0), view.current.line.totalLengthM);
  const before = lastRead.get(view);
  if (before?.lengthOutM === outM) return before;
  const now = readAt(view, outM);
  lastRead.set(view, now);
  return now;
}

/** The last place that was read of each rig: ribbon, section and readout ask for the same one. */
const lastRead = new WeakMap<RigView, CursorReadout>();

function readAt(view: RigView, outM: number): CursorReadout {
  const { line } = view.current;
  const paidOutM = Math.min(Math.max(outM - line.handLinedLengthM, 0), line.woundLengthM);
  const { diameterM } = spoolStateAt(line, paidOutM);
  const dragFactor = line.fullDiameterM / diameterM;
  const weakest = view.strength ? weakestWithin(view.strength, outM) : null;
  const tipForceN = view.setForceN === null ? null : view.setForceN * dragFactor;
  const reading = correctionTable(view.ruler, [paidOutM])[0] ?? { value: NaN, plusMinus: NaN, mainlyFrom: null };
  return {
    lengthOutM: outM,
    reading,
    ...atTip(view, outM),
    diameterM,
    dragFactor,
    weakest,
    tipForceN,
    share: tipForceN !== null && weakest ? tipForceN / weakest.strengthN.value : null,
  };
}

/** The segment at the rod's tip, and for lead core its colour there. */
function atTip(view: RigView, lengthOutM: number): Pick<CursorReadout, 'segmentAtTip' | 'colourAtTip'> {
  let fromHookM = 0;
  const inwards = view.current.line.segments.toReversed();
  for (const [index, segment] of inwards.entries()) {
    const toHookM = fromHookM + segment.lengthM;
    if (lengthOutM <= toHookM || index === inwards.length - 1) {
      const fromInnerM = toHookM - lengthOutM;
      // At the very outer end the last colour is at the tip.
      const colours = coloursOf(view.record, segment);
      const colour = (colours.find(({ toM }) => fromInnerM < toM) ?? colours.at(-1))?.colour ?? null;
      return { segmentAtTip: segment.name, colourAtTip: colour };
    }
    fromHookM = toHookM;
  }
  return { segmentAtTip: '', colourAtTip: null };
}

/** Where the colours of a segment lie, from its inner end outwards, as it was wound or is planned. */
export function coloursOf(
  record: RigRecord,
  segment: { readonly id: string; readonly lengthM: number },
): readonly ColourLengths[] {
  const { colours = [], colourLengthM = null } =
    record.load?.segments.find((each) => each.segmentId === segment.id) ??
    record.segments.find((each) => each.id === segment.id) ??
    {};
  return colouredLengthsM(colours, segment.lengthM, colourLengthM);
}

/**
 * True lengths from the hook at which a counter shows given readings, for the counter's ruler; on a reel
 * without a counter, at which the spool has made given turns. Marks beyond the line are left out.
 */
export function lengthsAtReadings(
  view: RigView,
  readings: readonly number[],
): readonly { reading: number; lengthOutM: number }[] {
  const { line } = view.current;
  const { best, counter } = view.ruler;
  return readings.flatMap((reading) => {
    const paidOutM = lengthAtCounts(best, reading, counter.unitM);
    return paidOutM === null ? [] : [{ reading, lengthOutM: paidOutM + line.handLinedLengthM }];
  });
}

/** What the ruler shows with a length off the spool (m), unwrapped: counts, or turns of the spool. */
export function countsAtLength(view: RigView, paidOutM: number): number {
  return countsAt(view.ruler.best, paidOutM, view.ruler.counter.unitM);
}
