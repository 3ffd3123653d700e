import { because, type Reason } from '../../reasons';
import { spoolStateAt } from '../../spool/loadedLine';
import { currentLine } from '../line/currentLine';
import type { LoadSegmentRecord, RigRecord } from '../../record/record';
import { productIdNow } from '../line/woundSegments';

/** What has become of the outermost wound line since it went on, and what that does to everything else. */
export interface TopShotCare {
  readonly segment: LoadSegmentRecord;
  readonly productId: string;
  /** Length when it went on, or was last replaced (m), and what is left of it. */
  readonly freshM: number;
  readonly leftM: number;
  /** How much lower the level lies now (m). */
  readonly levelDropM: number;
  /** Length off the spool at which the next two figures are taken (m). */
  readonly atM: number;
  /** Relative change of the counter's reading at that length since the top shot was fresh. */
  readonly counterShift: number;
  /** Pull at that length ÷ pull at that length when it was fresh, the drag left alone. */
  readonly dragShift: number;
  readonly verdict: 'fresh' | 'worn' | 'replace';
  readonly why: Reason;
}

/** Where the shifts are looked at (m): inside every usual working range. */
const LOOK_AT_M = 30;

/** Share of a top shot that may go before it is worn, and before it is to be replaced (common practice, no source). */
const WORN_SHARE = 0.15;
const REPLACE_SHARE = 1 / 3;
/** Shift of the counter that no correction card should be asked to bear. */
const REPLACE_COUNTER_SHIFT = 0.03;

/** Looks at the outermost wound segment of a finished load; null when nothing is wound. */
export function topShotCare(record: RigRecord): TopShotCare | null {
  const { load } = record;
  if (load?.status !== 'wound') return null;
  const segment = load.segments.findLast((candidate) => candidate.wound);
  const now = currentLine(record);
  const lastFreshAt = load.replacements.findLast((each) => each.segmentId === segment?.segmentId)?.at ?? '';
  const fresh = currentLine({
    ...record,
    load: {
      ...load,
      changes: load.changes.filter((change) => change.at <= lastFreshAt || change.segmentId !== segment?.segmentId),
    },
  });
  if (!segment || !now.ok || !fresh.ok) return null;
  const lengthIn = (line: typeof now): number =>
    line.value.line.segments.find((candidate) => candidate.id === segment.segmentId)?.lengthM ?? 0;
  const [lineNow, lineFresh] = [now.value.line, fresh.value.line];
  const atM = Math.min(LOOK_AT_M, 0.9 * Math.min(lineNow.woundLengthM, lineFresh.woundLengthM));
  const [stateNow, stateFresh] = [spoolStateAt(lineNow, atM), spoolStateAt(lineFresh, atM)];
  const counterShift = stateNow.turns / stateFresh.turns - 1;
  const [freshM, leftM] = [lengthIn(fresh), lengthIn(now)];
  const gone = 1 - leftM / freshM;
  const care = {
    segment,
    productId: productIdNow(record, segment.segmentId),
    freshM,
    leftM,
    levelDropM: (lineFresh.fullDiameterM - lineNow.fullDiameterM) / 2,
    atM,
    counterShift,
    // Set with everything on, the torque pulls by the full diameter; what counts is the diameter at that length.
    dragShift: lineNow.fullDiameterM / stateNow.diameterM / (lineFresh.fullDiameterM / stateFresh.diameterM),
  };
  if (gone >= REPLACE_SHARE) return { ...care, verdict: 'replace', why: because('top-shot-third-gone') };
  if (counterShift >= REPLACE_COUNTER_SHIFT) {
    return { ...care, verdict: 'replace', why: because('top-shot-counter-shifted', { share: REPLACE_COUNTER_SHIFT }) };
  }
  if (gone >= WORN_SHARE) return { ...care, verdict: 'worn', why: because('top-shot-short') };
  return { ...care, verdict: 'fresh', why: because('top-shot-fresh') };
}
