import type { CalibrationRecord, LoadRecord, RigRecord, StrengthTestRecord } from '../core/record/record';
import type { WaterMarkRecord } from '../core/record/tow';
import { countBasis, loadBasis } from '../core/rig/bases';
import { currentLine } from '../core/rig/line/currentLine';
import { knownBy, learnFromLoads, withKnowledge, type BoatEvidence } from '../core/rig/load/learnFromLoads';
import { planForRig } from '../core/rig/line/planForRig';
import type { Known, Source } from '../core/provenance/source';

/** A rig for tests of what is derived from a record: backing worked out, three colours of lead core, a top shot. */
const known = (value: number, relativeSd: number, source: Source): Known => ({ value, sd: value * relativeSd, source });

const product = (
  id: string,
  material: RigRecord['products'][number]['material'],
  diameterM: number,
  labelStrengthN: number,
) => ({
  id,
  name: `${id} line`,
  material,
  diameterM: known(diameterM, 0.03, 'measured'),
  packing: known(0.66, 0.05, 'default'),
  labelStrengthN,
  family: '',
  construction: null,
  massKgPerM: null,
  colourLengthM: null,
  colours: [],
  archivedAt: null,
  version: 1,
});

const JOINS: RigRecord['joins'] = [
  {
    id: 'j0',
    innerSegmentId: null,
    outerSegmentId: 's0',
    kind: 'arbor-sliding-knot',
    part: 'join',
    breaks: [],
    pullTested: false,
    lastTie: null,
    lastSlip: null,
  },
  {
    id: 'j1',
    innerSegmentId: 's0',
    outerSegmentId: 's1',
    kind: 'sheath-over-mono',
    part: 'join',
    breaks: [],
    pullTested: false,
    lastTie: null,
    lastSlip: null,
  },
  {
    id: 'j2',
    innerSegmentId: 's1',
    outerSegmentId: 's2',
    kind: 'sheath-over-mono',
    part: 'join',
    breaks: [88, 90, 92].map((peakN, index) => ({
      id: `b${index}`,
      peakN,
      weakerN: 100,
      brokeAt: 'join' as const,
      school: null,
      instrument: 'read by eye',
      at: '2026-03-01T10:00:00.000Z',
    })),
    pullTested: true,
    lastTie: null,
    lastSlip: null,
  },
];

export function plannedRig(): RigRecord {
  return withEvidence({
    boat: { id: 'boat', name: 'Halyard Lark' },
    readAt: '2026-04-10T10:00:00.000Z',
    id: 'rig',
    name: 'Bench rod',
    note: '',
    hangM: null,
    workingRange: null,
    reach: null,
    guides: null,
    rodPosition: null,
    smallestOpeningM: null,
    minutes: [],
    fill: null,
    archivedAt: null,
    keptPlans: [],
    version: 1,
    reel: {
      id: 'reel',
      name: 'Counter reel 40',
      kind: 'conventional',
      arborDiameterM: known(0.0314, 0.006, 'measured'),
      widthM: known(0.0286, 0.006, 'measured'),
      fullDiameterM: known(0.0618, 0.003, 'measured'),
      measured: { arborDiameterM: 0.0314, widthM: 0.0286, fullDiameterM: 0.0618, sdM: 0.0002 },
      ratings: [],
      counter: { drive: 'spool', unitM: 1, digits: 3, display: 'rounds', lengthPerTurnM: known(0.174, 0.04, 'maker') },
      windHand: 'right',
      gearRatio: null,
      dragKind: 'star',
      dragLimitN: 88,
      archivedAt: null,
      version: 1,
    },
    products: [
      product('nylon', 'nylon', 0.00045, 103),
      product('lead', 'lead core', 0.00076, 67),
      product('top', 'nylon', 0.00033, 58),
    ],
    segments: [
      {
        id: 's0',
        name: 'Backing',
        role: 'backing',
        productId: 'nylon',
        lengthM: null,
        lengthKnown: false,
        wound: true,
        colours: [],
        colourLengthM: null,
        purpose: null,
      },
      {
        id: 's1',
        name: 'Lead core',
        role: 'weighted line',
        productId: 'lead',
        lengthM: 27.432,
        lengthKnown: true,
        wound: true,
        colours: ['orange', 'black', 'green'],
        colourLengthM: null,
        purpose: null,
      },
      {
        id: 's2',
        name: 'Top shot',
        role: 'top shot',
        productId: 'top',
        lengthM: 60,
        lengthKnown: false,
        wound: true,
        colours: [],
        colourLengthM: null,
        purpose: null,
      },
    ],
    joins: JOINS,
    planJoins: JOINS,
    making: null,
    load: null,
    trials: [],
    openTrials: [],
    lineMarks: [],
    calibration: null,
    strengthTests: [],
    strengthSessions: [],
    joinBreaks: [],
    meantPlaceId: null,
    dragAim: null,
    dragSetting: null,
    dragSession: null,
    dragHistory: [],
    leverPoints: [],
    presetActs: [],
    planerLooks: [],
    towed: null,
    waterMarks: [],
    log: [],
    hasVirtualReel: false,
    virtualProductIds: [],
    supplySpools: [],
    reverseFills: [],
  });
}

/** A record with what its reel and lines are known by: nothing but their own figures, and such loads as are given. */
export function withEvidence(record: Omit<RigRecord, 'knowledge'>, evidence: Partial<BoatEvidence> = {}): RigRecord {
  const learning = learnFromLoads({
    reels: [record.reel],
    products: record.products,
    loads: [],
    reverseFills: [],
    trials: [],
    resets: new Map(),
    ...evidence,
  });
  return withKnowledge(record, knownBy(learning, record.reel.id, evidence.resets?.get(record.reel.id) ?? null));
}

const LOADED_AT = '2026-03-01T10:00:00.000Z';

/** The same rig, wound exactly as planned, with its level where it was meant to be. */
export function woundRig(change: Partial<LoadRecord> = {}): RigRecord {
  const rig = plannedRig();
  const plan = planForRig(rig, 0.002);
  if (!plan.ok) throw new Error(plan.reason);
  const segments = rig.segments.map((segment) => {
    const planned = plan.value.segments.find((candidate) => candidate.id === segment.id);
    const line = rig.products.find((candidate) => candidate.id === segment.productId);
    if (!planned || !line) throw new Error('the fixture is broken');
    return {
      segmentId: segment.id,
      name: segment.name,
      role: segment.role,
      productId: segment.productId,
      lineDiameterM: line.diameterM.value,
      packing: line.packing.value,
      plannedLengthM: planned.lengthM.value,
      plannedPlusMinusM: planned.lengthM.plusMinus,
      plannedTurns: planned.turns.value,
      lengthKnown: segment.lengthKnown,
      solved: segment.lengthM === null,
      agreedFromM: null,
      wound: segment.wound,
      stopReading: planned.stopReading,
      naiveStopReading: planned.naiveStopReading,
      colours: segment.colours,
      colourLengthM: segment.colourLengthM,
      purpose: segment.purpose,
    };
  });
  return {
    ...rig,
    load: {
      id: 'load',
      status: 'wound',
      startedAt: LOADED_AT,
      finishedAt: LOADED_AT,
      levelBelowRimM: 0.002,
      basis: loadBasis(rig),
      segments,
      winding: segments.map((segment, index) => ({
        id: `w${index}`,
        segmentId: segment.segmentId,
        reading: segment.stopReading,
        instrument: 'read by eye',
        lengthIs: 'plan' as const,
        laps: null,
        meteredLengthM: null,
        turnsCounted: null,
        note: '',
        at: LOADED_AT,
      })),
      levels: [],
      changes: [],
      colourReadings: [],
      replacements: [],
      version: 2,
      begunBy: null,
      laidBy: null,
      tensionN: null,
      shims: null,
      ...change,
    },
  };
}

export function trial(reading: number, trueLengthM = 30, at = '2026-03-01T11:00:00.000Z'): RigRecord['trials'][number] {
  return {
    id: `t${at}`,
    loadId: 'load',
    kind: 'tape',
    turns: null,
    betweenFlips: false,
    trueLengthM,
    reading,
    strippedBeforeM: 0,
    heldOut: false,
    instrument: 'read by eye',
    at,
  };
}

export function pulls(productId: string, peaksN: readonly number[]): StrengthTestRecord {
  return {
    id: `test-${productId}`,
    sessionId: null,
    productId,
    condition: 'dry',
    gaugeLengthM: 0.5,
    expectedN: 100,
    sampleLabel: '',
    at: LOADED_AT,
    openPulls: [],
    pulls: peaksN.map((peakN, index) => ({
      id: `p${index}`,
      peakN,
      breakPlace: 'middle',
      instrument: 'read by eye',
      note: '',
      heldOut: false,
      at: LOADED_AT,
    })),
  };
}

/** An entry of the water log of the wound rig that teaches, as far as it is not changed: bottom at 8 m with 60 m out. */
export const waterMark = (over: Partial<WaterMarkRecord> = {}): WaterMarkRecord => ({
  ...{ id: 'm1', at: '2030-05-04T10:00:00.000Z', loadId: woundRig().load?.id ?? '', kind: 'bottom', reading: null },
  ...{ laps: null, lengthOutM: 60, depthM: 8, speedMS: 1, lure: 'spoon', side: null, turn: 'straight', note: '' },
  instrument: 'read by eye',
  ...over,
});

/** A rig whose counter was accepted, with the line that is on, by one walk. */
export function calibrated(rig: RigRecord): RigRecord {
  const current = currentLine(rig);
  if (!current.ok) throw new Error(current.reason);
  const calibration: CalibrationRecord = {
    id: 'k',
    loadId: 'load',
    method: 'card',
    lengthPerTurnM: { value: 0.178, sd: 0.001, source: 'measured' },
    basis: countBasis(rig, current.value.line),
    at: '2026-03-01T12:00:00.000Z',
  };
  return { ...rig, trials: [trial(31)], calibration };
}
