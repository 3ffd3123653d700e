import { CREEPS, CURRENTS, HAND_PULLS, HEADINGS } from '../../core/drag/planer/planerLooks';
import { LAID_BY } from '../../core/load/tension';
import type { Basis } from '../../core/provenance/basis';
import { BACKING_PURPOSES } from '../../core/load/backing';
import { STRIKES } from '../../core/record/drag';
import { LENGTH_IS, SEGMENT_ROLES } from '../../core/record/record';
import { MARK_KINDS, SIDES, TURNS } from '../../core/record/tow';
import { flag, json, maybe, named, notedAt, number, oneOf, ownId, table, text, texts } from './table';

/**
 * Tables to which rows are only added, each declared once: what is read, what is written, and what a withdrawal repeats.
 * A new column is a migration and a line here.
 */

const note = { id: ownId, at: notedAt } as const;
const ofSegment = { ...note, loadId: text, segmentId: text } as const;

export const WINDING_ENTRIES = table('winding_entries', {
  ...ofSegment,
  reading: maybe(number),
  laps: maybe(number),
  lengthIs: oneOf(...LENGTH_IS),
  meteredLengthM: maybe(number),
  turnsCounted: maybe(number),
  instrument: text,
  note: text,
});

export const LEVEL_READINGS = table('level_readings', { ...ofSegment, levelBelowRimM: number, instrument: text });

export const COLOUR_READINGS = table('colour_readings', {
  ...ofSegment,
  coloursOn: number,
  reading: number,
  instrument: text,
});

export const LINE_CHANGES = table('line_changes', {
  ...ofSegment,
  changeM: number,
  reason: oneOf('stripped', 'lost', 'added', 'kept'),
  note: text,
});

export const REPLACEMENTS = table('segment_replacements', {
  ...ofSegment,
  productId: named('line_product_id', text),
  lengthM: number,
  windOnId: maybe(text),
  note: text,
});

export const LINE_MARKS = table('line_marks', {
  ...ofSegment,
  kind: oneOf('tied', 'inked'),
  looks: text,
  fromInnerM: number,
});

export const COUNTER_TRIALS = table('counter_trials', {
  ...note,
  loadId: text,
  kind: oneOf('tape', 'colour', 'turns'),
  trueLengthM: maybe(number),
  turns: maybe(number),
  betweenFlips: flag,
  reading: number,
  strippedBeforeM: number,
  instrument: text,
  heldOut: flag,
});

export const CALIBRATIONS = table('calibrations', {
  id: ownId,
  at: { ...notedAt, column: 'accepted_at' },
  rigId: text,
  loadId: text,
  method: oneOf('true', 'card'),
  lengthPerTurnM: number,
  lengthPerTurnSdM: number,
  basis: json<Basis>(),
});

export const STRENGTH_SESSIONS = table('strength_sessions', {
  id: ownId,
  at: { ...notedAt, column: 'planned_at' },
  name: text,
  pullsEach: number,
});

export const STRENGTH_TESTS = table('strength_tests', {
  id: ownId,
  at: { ...notedAt, column: 'started_at' },
  sessionId: maybe(text),
  productId: named('line_product_id', text),
  condition: oneOf('dry', 'soaked'),
  gaugeLengthM: number,
  expectedN: number,
  sampleLabel: text,
});

export const STRENGTH_PULLS = table('strength_pulls', {
  ...note,
  testId: named('strength_test_id', text),
  peakN: number,
  breakPlace: oneOf('middle', 'grip', 'knot'),
  instrument: text,
  note: text,
  heldOut: flag,
});

export const DRAG_PULLS = table('drag_pulls', {
  ...note,
  settingId: named('drag_setting_id', text),
  kind: oneOf('warm-up', 'bent rod', 'straight'),
  movingN: number,
  breakawayN: maybe(number),
  settingStep: number,
  starTurns: maybe(number),
  instrument: text,
});

export const LEVER_POINTS = table('lever_points', {
  ...note,
  loadId: text,
  /** The scale session in which it was pulled, in records that knew no other pulls. */
  settingId: named('drag_setting_id', maybe(text)),
  position: named('lever_position', number),
  presetTurns: number,
  forceN: number,
  instrument: text,
});

export const PRESET_ACTS = table('preset_acts', {
  ...note,
  rigId: text,
  act: oneOf('to-free', 'into-gear', 'turn', 'was-turned-in-gear'),
  turns: maybe(number),
});

export const PLANER_LOOKS = table('planer_looks', {
  ...note,
  rigId: text,
  planer: text,
  speedMS: number,
  holdsN: maybe(number),
  leverPosition: maybe(number),
  presetTurns: maybe(number),
  heading: oneOf(...HEADINGS),
  current: oneOf(...CURRENTS),
  creep: maybe(oneOf(...CREEPS)),
  isSet: flag,
  handPull: maybe(oneOf(...HAND_PULLS)),
  strike: maybe(oneOf(...STRIKES)),
  instrument: text,
});

export const WATER_MARKS = table('water_marks', {
  ...note,
  rigId: text,
  loadId: text,
  kind: oneOf(...MARK_KINDS),
  reading: maybe(number),
  laps: maybe(number),
  lengthOutM: maybe(number),
  depthM: maybe(number),
  speedMS: number,
  lure: text,
  side: maybe(oneOf(...SIDES)),
  turn: oneOf(...TURNS),
  note: text,
  instrument: text,
});

export const JOIN_TIES = table('join_ties', {
  ...note,
  joinId: text,
  personId: maybe(text),
  school: text,
  seatedN: maybe(number),
  pullTested: flag,
  note: text,
});

/** Without figures a step goes back to the school's. */
export const OWN_FIGURES = table('own_figures', {
  ...note,
  school: text,
  step: text,
  least: maybe(number),
  most: maybe(number),
});

export const JOIN_PULLS = table('join_pulls', {
  ...note,
  joinId: text,
  school: maybe(text),
  peakN: number,
  weakerN: number,
  brokeAt: oneOf('join', 'line', 'grip'),
  instrument: text,
});

export const SLIP_CHECKS = table('slip_checks', { ...note, joinId: text, movedM: number, pulledN: maybe(number) });

export const CADENCE_DRILLS = table('cadence_drills', {
  ...note,
  personId: maybe(text),
  school: text,
  strokes: number,
  mistakes: number,
  seconds: number,
});

export const REVERSE_FILLS = table('reverse_fills', {
  ...note,
  reelId: text,
  levelBelowRimM: number,
  evenTension: flag,
  laidBy: maybe(oneOf(...LAID_BY)),
  tensionN: maybe(number),
  note: text,
});

export const AGREED_LENGTHS = table('agreed_lengths', { ...ofSegment, lengthM: number });

export const LOAD_SEGMENTS = table('load_segments', {
  loadId: text,
  segmentId: text,
  productId: named('line_product_id', text),
  position: number,
  name: text,
  role: oneOf(...SEGMENT_ROLES),
  lineDiameterM: number,
  packing: number,
  plannedLengthM: number,
  plannedPlusMinusM: number,
  plannedTurns: number,
  lengthKnown: flag,
  solved: flag,
  wound: flag,
  stopReading: maybe(number),
  naiveStopReading: maybe(number),
  colours: texts,
  colourLengthM: maybe(number),
  purpose: maybe(oneOf(...BACKING_PURPOSES)),
});
