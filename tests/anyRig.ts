import { BACKING_PURPOSES } from '../core/load/backing';
import { LAID_BY } from '../core/load/tension';
import { JOIN_KIND_NAMES } from '../core/joins/joinKinds';
import { SCHOOLS } from '../core/joins/schools';
import { ERRORS } from '../core/measurement/errors';
import { labelDiameterRelativeSd } from '../core/measurement/lineErrors';
import { MATERIAL, MATERIALS } from '../core/materials/materials';
import { CREEPS, CURRENTS, HAND_PULLS, HEADINGS } from '../core/drag/planer/planerLooks';
import { reelShape } from '../core/gear/reelShape';
import { learnFromLoads, knownBy, withKnowledge, type BoatEvidence } from '../core/rig/load/learnFromLoads';
import { planForRig } from '../core/rig/line/planForRig';
import type { Known } from '../core/provenance/source';
import { STRIKES } from '../core/record/drag';
import { anyTowing } from './anyTow';
import {
  DRAG_KINDS,
  LENGTH_IS,
  REEL_KINDS,
  SEGMENT_ROLES,
  type FinishedLoadRecord,
  type LineProductRecord,
  type LoadRecord,
  type ReelRecord,
  type RigRecord,
} from '../core/record/record';
import { seededRandom } from '../instruments/random';
import { LIMITS } from '../usecases/limits';

/**
 * Any rig that the schemas let through: gear of any size, and evidence that need not agree with it or with itself. Nothing
 * is drawn as a careful person would note it; a page must stand all the same.
 */
export function anyRig(seed: number): RigRecord {
  const draw = drawer(seed);
  const products = Array.from({ length: draw.whole(1, 4) }, (_, index) => anyLine(draw, index));
  const reel = anyReel(draw);
  const bare = { ...NOTHING, reel, products, segments: anyStack(draw, products), fill: anyFill(draw) };
  const planned = known(bare, {});
  const loads = Array.from({ length: draw.whole(0, 3) }, (_, index) => anyLoad(draw, planned, index, 'wound'));
  const winding = draw.chance(0.25) ? anyLoad(draw, planned, loads.length, 'winding') : null;
  const load = winding ?? loads.at(-1) ?? null;
  const finished = loads.map((each): FinishedLoadRecord => ({ reelId: reel.id, rigName: 'Rod', load: each }));
  const reverseFills = draw.chance(0.3)
    ? [
        {
          id: 'fill',
          reelId: reel.id,
          levelBelowRimM: draw.between(LIMITS.levelBelowRimM),
          evenTension: draw.chance(0.5),
          laidBy: null,
          tensionN: null,
          note: '',
          at: at(3),
          segments: [{ productId: draw.of(products).id, lengthM: draw.between(LIMITS.segmentLengthM) }],
        },
      ]
    : [];
  const record = {
    ...bare,
    load,
    reverseFills,
    ...anyPlaces(draw, bare.segments),
    ...anyMeasurements(draw, load, products),
  };
  const calibration =
    load && draw.chance(0.5) && reel.counter
      ? {
          id: 'calibration',
          loadId: load.id,
          method: draw.of(['true', 'card'] as const),
          lengthPerTurnM: measured(draw.between(LIMITS.lengthPerTurnM), 0.02),
          basis: {},
          at: at(9),
        }
      : null;
  return known({ ...record, calibration }, { loads: finished, trials: record.trials, reverseFills });
}

function drawer(seed: number) {
  const random = seededRandom(seed * 7919 + 13);
  return {
    chance: (share: number): boolean => random() < share,
    whole: (least: number, most: number): number => least + Math.floor(random() * (most - least + 1)),
    /** Spread over the decades of a range, its very ends among them. */
    between: ({ min, max }: { readonly min: number; readonly max: number }): number => {
      const pick = random();
      if (pick < 0.05) return min;
      if (pick > 0.95) return max;
      return min > 0 ? min * (max / min) ** random() : min + (max - min) * random();
    },
    of: <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T,
  };
}

export type Draw = ReturnType<typeof drawer>;

const at = (hour: number): string => new Date(Date.UTC(2026, 2, 1, hour)).toISOString();
const measured = (value: number, relativeSd: number): Known => ({ value, sd: value * relativeSd, source: 'measured' });

const NOTHING = {
  boat: { id: 'boat', name: 'Halyard Lark' },
  readAt: '2026-04-10T10:00:00.000Z',
  id: 'rig',
  name: 'Any rod',
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
  dragAim: null,
  version: 1,
  joins: [],
  planJoins: [],
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
} satisfies Partial<RigRecord>;

function known(record: Omit<RigRecord, 'knowledge'>, evidence: Partial<BoatEvidence>): RigRecord {
  const learning = learnFromLoads({
    reels: [record.reel],
    products: record.products,
    loads: [],
    reverseFills: [],
    trials: [],
    resets: new Map(),
    ...evidence,
  });
  return withKnowledge(record, knownBy(learning, record.reel.id, null));
}

function anyLine(draw: Draw, index: number): LineProductRecord {
  const material = draw.of(MATERIALS);
  const diameterM = draw.between(draw.chance(0.7) ? { min: 0.0001, max: 0.0012 } : LIMITS.lineDiameterM);
  return {
    id: `line${index}`,
    name: `Line ${index}`,
    material,
    diameterM: { value: diameterM, sd: diameterM * labelDiameterRelativeSd(material), source: 'label' },
    packing: MATERIAL[material].packing,
    labelStrengthN: draw.chance(0.7) ? draw.between(LIMITS.forceN) : null,
    family: '',
    colourLengthM: draw.chance(0.2) ? draw.between(LIMITS.colourLengthM) : null,
    colours: [],
    construction: null,
    massKgPerM: null,
    archivedAt: null,
    version: 1,
  };
}

function anyReel(draw: Draw): ReelRecord {
  const kind = draw.of(REEL_KINDS);
  const sizes = draw.chance(0.6)
    ? { full: { min: 0.03, max: 0.15 }, width: { min: 0.01, max: 0.1 } }
    : { full: LIMITS.fullDiameterM, width: LIMITS.widthM };
  const fullDiameterM = draw.between(sizes.full);
  const share = draw.chance(0.7) ? draw.between({ min: 0.3, max: 0.8 }) : draw.between({ min: 0.02, max: 0.999 });
  const arborDiameterM = Math.min(Math.max(share * fullDiameterM, LIMITS.arborDiameterM.min), fullDiameterM * 0.9999);
  const ratings = Array.from({ length: draw.whole(0, 3) }, (_, index) => ({
    label: `rating ${index}`,
    lineDiameterM: draw.between(LIMITS.lineDiameterM),
    lengthM: draw.between(LIMITS.segmentLengthM),
  }));
  const all = ratings.length === 0 || draw.chance(0.5);
  const seen = {
    arborDiameterM: all || draw.chance(0.5) ? arborDiameterM : null,
    widthM: all || draw.chance(0.5) ? draw.between(sizes.width) : null,
    fullDiameterM: all || draw.chance(0.5) ? fullDiameterM : null,
    sdM: ERRORS.caliperM.sd,
  };
  return {
    id: 'reel',
    name: 'Any reel',
    kind,
    ...reelShape(kind, seen, ratings),
    measured: seen,
    ratings,
    counter: draw.chance(0.75)
      ? {
          drive: draw.of(['spool', 'spool', 'roller'] as const),
          unitM: draw.of([0.1, 0.3048, 1, 10, 0.01]),
          digits: draw.whole(2, 6),
          display: draw.of(['rounds', 'truncates', 'unknown'] as const),
          lengthPerTurnM: measured(draw.between(LIMITS.lengthPerTurnM), 0.04),
        }
      : null,
    windHand: 'right',
    gearRatio: draw.chance(0.3) ? draw.between(LIMITS.gearRatio) : null,
    dragKind: draw.of(DRAG_KINDS),
    dragLimitN: draw.chance(0.6) ? draw.between(LIMITS.forceN) : null,
    archivedAt: null,
    version: 1,
  };
}

function anyStack(draw: Draw, products: readonly LineProductRecord[]): RigRecord['segments'] {
  const count = draw.whole(0, 5);
  const solved = draw.whole(-1, count - 1);
  return Array.from({ length: count }, (_, index) => ({
    id: `s${index}`,
    name: `Segment ${index}`,
    role: draw.of(SEGMENT_ROLES),
    productId: draw.of(products).id,
    lengthM: index === solved ? null : draw.between(draw.chance(0.7) ? { min: 1, max: 300 } : LIMITS.segmentLengthM),
    lengthKnown: draw.chance(0.4),
    wound: index < 4 || draw.chance(0.5) || index === solved,
    colours: draw.chance(0.3) ? ['red', 'green', 'of no name', 'red'].slice(0, draw.whole(1, 4)) : [],
    colourLengthM: draw.chance(0.3) ? draw.between(LIMITS.colourLengthM) : null,
    purpose: draw.of([null, ...BACKING_PURPOSES]),
  }));
}

function anyFill(draw: Draw): RigRecord['fill'] {
  if (draw.chance(0.5)) return null;
  const diameterM = draw.between(LIMITS.fullDiameterM);
  const fromM = draw.between(LIMITS.walkLengthM);
  const target = draw.of([
    { kind: 'below-rim', levelBelowRimM: draw.between(LIMITS.levelBelowRimM) },
    { kind: 'depth-share', share: draw.between({ min: 0.05, max: 1.1 }) },
    { kind: 'mark', diameterM },
    { kind: 'own-mark', diameterM },
    { kind: 'counter-true', fromM, toM: fromM + draw.between({ min: 1, max: 100 }) },
  ] as const);
  return { target, soonGoneM: draw.chance(0.3) ? draw.between(LIMITS.soonGoneM) : 0 };
}

function anyJoins(draw: Draw, segments: RigRecord['segments']): RigRecord['joins'] {
  return segments.flatMap((segment, index) => {
    if (draw.chance(0.1)) return [];
    const tied = draw.chance(0.5);
    const person = null;
    return {
      id: `j${index}`,
      innerSegmentId: segments[index - 1]?.id ?? null,
      outerSegmentId: segment.id,
      kind: draw.of(JOIN_KIND_NAMES),
      part: 'join' as const,
      breaks: Array.from({ length: draw.whole(0, 4) }, (_, place) => ({
        id: `b${index}.${place}`,
        peakN: draw.between(LIMITS.forceN),
        weakerN: draw.between(LIMITS.forceN),
        brokeAt: draw.of(['join', 'line', 'grip'] as const),
        school: null,
        instrument: 'eye',
        at: at(1),
      })),
      pullTested: draw.chance(0.5),
      lastTie: tied
        ? {
            id: `t${index}`,
            school: draw.of(SCHOOLS).id,
            seatedN: null,
            pullTested: true,
            person,
            note: '',
            hasPhoto: false,
            drags: draw.whole(0, 40),
            fish: draw.whole(0, 60),
            at: at(2),
          }
        : null,
      lastSlip: draw.chance(0.2)
        ? { id: `l${index}`, movedM: draw.between({ min: 0, max: 1 }), pulledN: null, at: at(4) }
        : null,
    };
  });
}

function anyLoad(draw: Draw, record: RigRecord, index: number, status: LoadRecord['status']): LoadRecord {
  const plan = planForRig(record, 0.002);
  const segments = record.segments.map((segment) => {
    const planned = plan.ok ? plan.value.segments.find((each) => each.id === segment.id) : undefined;
    const line = record.products.find((each) => each.id === segment.productId);
    return {
      segmentId: segment.id,
      name: segment.name,
      role: segment.role,
      productId: segment.productId,
      lineDiameterM: line?.diameterM.value ?? 0.0004,
      packing: line?.packing.value ?? 0.66,
      plannedLengthM: planned?.lengthM.value ?? segment.lengthM ?? 50,
      plannedPlusMinusM: planned?.lengthM.plusMinus ?? 5,
      plannedTurns: planned?.turns.value ?? 100,
      lengthKnown: segment.lengthKnown && segment.lengthM !== null,
      solved: segment.lengthM === null,
      agreedFromM: draw.chance(0.1) ? draw.between(LIMITS.segmentLengthM) : null,
      wound: segment.wound,
      stopReading: planned?.stopReading ?? null,
      naiveStopReading: planned?.naiveStopReading ?? null,
      colours: segment.colours,
      colourLengthM: segment.colourLengthM,
      purpose: segment.purpose,
    };
  });
  const wound = segments.filter((segment) => segment.wound);
  const on = status === 'wound' ? wound : wound.slice(0, draw.whole(0, wound.length));
  const id = `load${index}`;
  const most = 10 ** (record.reel.counter?.digits ?? 3) - 1;
  const levels = on.flatMap(({ segmentId }, place) =>
    draw.chance(0.4)
      ? [
          {
            id: `${id}.level${place}`,
            segmentId,
            levelBelowRimM: draw.between(LIMITS.levelBelowRimM),
            at: at(index + 4),
          },
        ]
      : [],
  );
  return {
    id,
    status,
    startedAt: at(index + 3),
    finishedAt: status === 'wound' ? at(index + 5) : null,
    levelBelowRimM:
      status === 'wound'
        ? (levels.find((level) => level.segmentId === wound.at(-1)?.segmentId)?.levelBelowRimM ?? null)
        : null,
    basis: {},
    segments,
    winding: on.map((segment, place) => ({
      id: `${id}.w${place}`,
      segmentId: segment.segmentId,
      reading: record.reel.counter ? (draw.chance(0.5) ? (segment.stopReading ?? 0) : draw.whole(0, most)) : null,
      laps: null,
      meteredLengthM: draw.chance(0.15) ? draw.between(LIMITS.segmentLengthM) : null,
      turnsCounted: draw.chance(0.15) ? draw.between({ min: 0.5, max: 100_000 }) : null,
      lengthIs: draw.of(LENGTH_IS),
      instrument: 'eye',
      note: '',
      at: at(index + 4),
    })),
    levels,
    changes:
      status === 'wound' && on.length > 0 && draw.chance(0.4)
        ? [
            {
              id: `${id}.change`,
              segmentId: draw.of(on).segmentId,
              changeM: draw.between({ min: -300, max: 300 }) || 1,
              reason: draw.of(['stripped', 'lost', 'added'] as const),
              note: '',
              at: at(index + 6),
            },
          ]
        : [],
    colourReadings: on.flatMap(({ segmentId, colours }, place) =>
      colours.length > 1 && draw.chance(0.5)
        ? [{ id: `${id}.c${place}`, segmentId, coloursOn: 1, reading: draw.whole(0, most), at: at(index + 4) }]
        : [],
    ),
    replacements:
      status === 'wound' && on.length > 0 && draw.chance(0.2)
        ? [
            {
              id: `${id}.r`,
              segmentId: on.at(-1)?.segmentId ?? '',
              productId: draw.of(record.products).id,
              lengthM: draw.between(LIMITS.segmentLengthM),
              windOnId: null,
              note: '',
              at: at(index + 7),
            },
          ]
        : [],
    version: 1,
    begunBy: null,
    laidBy: draw.chance(0.3) ? draw.of(LAID_BY) : null,
    tensionN: draw.chance(0.2) ? draw.between(LIMITS.windingTensionN) : null,
    shims: null,
  };
}

/** The joins of the line and of its plan: the same ones, as where nothing was planned anew. */
function anyPlaces(draw: Draw, segments: RigRecord['segments']) {
  const joins = anyJoins(draw, segments);
  return { joins, planJoins: joins };
}

function anyMeasurements(draw: Draw, load: LoadRecord | null, products: readonly LineProductRecord[]) {
  const anySetting = ({ id: loadId }: LoadRecord) => ({
    id: 'setting',
    loadId,
    fraction: draw.between({ min: 0.05, max: 0.4 }),
    strengthBasis: draw.of(['label', 'tested', 'weakest'] as const),
    targetN: draw.between(LIMITS.forceN),
    rodAngleRad: draw.between({ min: 0, max: Math.PI }),
    basis: {},
    startedAt: at(11),
    pulls: many(6, pull),
  });
  const pull = (index: number) => ({
    id: `p${index}`,
    kind: draw.of(['warm-up', 'bent rod', 'straight'] as const),
    movingN: draw.between(LIMITS.forceN),
    breakawayN: LIMITS.forceN.max,
    settingStep: draw.whole(0, 3),
    starTurns: draw.chance(0.4) ? draw.between({ min: -10, max: 10 }) : null,
    instrument: 'eye',
    at: at(12),
  });
  const many = <T>(most: number, one: (index: number) => T): T[] =>
    Array.from({ length: draw.whole(0, most) }, (_, index) => one(index));
  const segmentId = load?.segments[0]?.segmentId;
  return {
    fill: null,
    archivedAt: null,
    keptPlans: [],
    dragAim: null,
    hangM: draw.chance(0.3) ? draw.between({ min: 0, max: 20 }) : null,
    trials: load
      ? many(3, (index) => {
          const kind = draw.of(['tape', 'colour', 'turns'] as const);
          return {
            id: `trial${index}`,
            loadId: load.id,
            kind,
            trueLengthM: kind === 'turns' ? null : draw.between(LIMITS.walkLengthM),
            turns: kind === 'turns' ? draw.between({ min: 1, max: 10_000 }) : null,
            betweenFlips: draw.chance(0.5),
            reading: draw.whole(1, 5000),
            strippedBeforeM: 0,
            heldOut: false,
            instrument: 'eye',
            at: at(8 + index),
          };
        })
      : [],
    lineMarks:
      load && segmentId !== undefined
        ? many(2, (index) => ({
            id: `m${index}`,
            kind: 'inked' as const,
            looks: 'red',
            segmentId,
            fromInnerM: draw.between({ min: 0, max: 5000 }),
            at: at(9),
          }))
        : [],
    strengthTests: many(3, (index) => ({
      id: `test${index}`,
      sessionId: null,
      productId: draw.of(products).id,
      condition: draw.of(['dry', 'soaked'] as const),
      gaugeLengthM: draw.between(LIMITS.gaugeLengthM),
      expectedN: draw.between(LIMITS.forceN),
      sampleLabel: '',
      at: at(1),
      openPulls: [],
      pulls: many(6, (place) => ({
        id: `pull${index}.${place}`,
        peakN: draw.between(LIMITS.forceN),
        breakPlace: draw.of(['middle', 'grip', 'knot'] as const),
        instrument: 'eye',
        heldOut: false,
        note: '',
        at: at(1),
      })),
    })),
    dragSetting: load && draw.chance(0.5) ? { ...anySetting(load), acceptedAt: at(13) } : null,
    dragSession: load && draw.chance(0.3) ? { ...anySetting(load), id: 'session', acceptedAt: null } : null,
    leverPoints: load
      ? many(5, (index) => ({
          id: `v${index}`,
          position: draw.between({ min: 0, max: 1 }),
          presetTurns: draw.whole(-2, 2),
          forceN: draw.between({ min: 0, max: LIMITS.forceN.max }),
          instrument: 'eye',
          at: at(10),
        }))
      : [],
    presetActs: draw.chance(0.3)
      ? [{ id: 'act', act: { act: 'turn' as const, turns: draw.between({ min: -10, max: 10 }) || 1 }, at: at(9) }]
      : [],
    ...anyTowing(
      draw,
      load,
      many(4, (index) => at(12 + index)),
    ),
    planerLooks: many(4, (index) => {
      const [heading, current] = [draw.of(HEADINGS), draw.of(CURRENTS)];
      const leverPosition = draw.chance(0.7) ? draw.between({ min: 0.01, max: 1 }) : null;
      const holdsN = leverPosition === null || draw.chance(0.5) ? draw.between(LIMITS.forceN) : null;
      return {
        id: `look${index}`,
        planer: draw.of(['small', 'large']),
        speedMS: draw.between({ min: 0.2, max: 15 }),
        ...{ leverPosition, holdsN },
        heading,
        current,
        presetTurns: draw.chance(0.5) ? draw.between({ min: -10, max: 10 }) : null,
        handPull: draw.chance(0.3) ? draw.of(HAND_PULLS) : null,
        strike: draw.chance(0.2) ? draw.of(STRIKES) : null,
        creep: draw.chance(0.8) ? draw.of(CREEPS) : null,
        isSet: draw.chance(0.8),
        instrument: 'eye',
        at: at(14),
      };
    }),
  };
}
