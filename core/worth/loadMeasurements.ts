import { estimateSlopes } from '../calibration/estimateSlopes';
import type { CounterEstimate } from '../calibration/estimateCounter';
import {
  predicted,
  sdOf,
  type CounterObservation,
  type LevelObservation,
  type RealisedLoad,
} from '../calibration/observations';
import { diameterFromWraps } from '../gear/lineDiameter';
import { ERRORS, EVIDENCE_TAILS } from '../measurement/errors';
import type { Known } from '../provenance/source';
import { noiseThatLeaves, withTails, type Reading } from './belief';
import { TURNS, wrapsFor, type Measurement, type MeasurementKind } from './measurement';

/** A line as far as its thickness is known: of all that is not known of its bulk, so much is its thickness. */
export interface LineToMeasure {
  readonly lineId: string;
  readonly name: string;
  readonly diameterM: Known;
  /** Relative SD of the space that a metre takes, before any load has taught of it. */
  readonly bulkRelativeSd: number;
  /** Braid and lead core give way under the jaws of a caliper: they are wrapped. */
  readonly isSoft: boolean;
}

/** A load of which something can still be measured, and what of it has been. */
export interface LoadToMeasure {
  readonly rigId: string;
  readonly reel: {
    readonly id: string;
    readonly name: string;
    /** What a caliper has not been on yet. */
    readonly unmeasured: readonly ('arbor' | 'width' | 'rim')[];
  };
  readonly estimate: CounterEstimate;
  /** Each line once, by its label as yet. */
  readonly lines: readonly LineToMeasure[];
  readonly isWound: boolean;
  /** False where its level was read, or cannot be. */
  readonly canReadLevel: boolean;
  /** False for a reel without a counter. */
  readonly hasCounter: boolean;
  /** Where it can be walked (m off the spool), or null. */
  readonly walkM: number | null;
  /** Where changes of colour leave the tip (m off the spool), the outermost first. */
  readonly coloursM: readonly number[];
  /** A spool of known length that could be wound on alone: the segment whose line it is, and its length (m); or null. */
  readonly spool: { readonly segmentId: string; readonly name: string; readonly lengthM: number } | null;
}

/** A measurement with what it would read of a load's unknowns. */
export interface LoadMeasurement extends Measurement {
  readonly readings: readonly Reading[];
}

/** What is asked of a load, before its slopes are worked out. */
interface Asked extends Measurement {
  readonly reads: readonly {
    readonly noiseVariance: number;
    of(load: RealisedLoad, unknowns: readonly number[]): number;
  }[];
}

/**
 * Everything that could be measured of a load, with what each would read.
 *
 * @param load by what is known now
 */
export function loadMeasurements(load: LoadToMeasure): readonly LoadMeasurement[] {
  const asked = [...ofLines(load), ...ofReel(load), ...ofCounter(load), ...ofSpool(load)];
  const reads = asked.flatMap((each) => each.reads);
  const slopes = estimateSlopes(load.estimate, (realised, unknowns) =>
    reads.map((read) => read.of(realised, unknowns)),
  );
  let next = 0;
  return asked.map(({ reads: own, ...measurement }) => ({
    ...measurement,
    readings: own.map(({ noiseVariance }) => ({ noiseVariance, slopes: slopes[next++] ?? [] })),
  }));
}

/** SD of a line's thickness as a row of wraps or a caliper would leave it, as a share. */
export function thicknessSdAfter(kind: 'wraps' | 'line-caliper', diameterM: number): number {
  if (kind === 'line-caliper') return ERRORS.lineCaliperM.sd / diameterM;
  const wraps = wrapsFor(diameterM);
  return diameterFromWraps(wraps * diameterM, wraps).sd / diameterM;
}

/**
 * A thickness says of a line's bulk what is thickness in it; the packing stays open. It takes the place of what was believed of the
 * thickness, and is worth what it is better.
 */
function ofLines({ lines, estimate }: LoadToMeasure): readonly Asked[] {
  return lines.flatMap(({ lineId, name, diameterM, bulkRelativeSd, isSoft }): Asked[] => {
    const thickness = Math.min(((2 * diameterM.sd) / diameterM.value) ** 2, bulkRelativeSd ** 2);
    const packing = bulkRelativeSd ** 2 - thickness;
    const kind = isSoft ? 'wraps' : 'line-caliper';
    const noise = noiseThatLeaves(thickness, (2 * thicknessSdAfter(kind, diameterM.value)) ** 2);
    if (!Number.isFinite(noise)) return [];
    const share = thickness / (thickness + packing);
    return [
      {
        ...{ kind, of: lineId, name, atM: null },
        reads: [
          {
            noiseVariance: noise + packing * share,
            of: (_, unknowns) => share * estimate.valueIn(unknowns, lineId),
          },
        ],
      },
    ];
  });
}

function ofReel({ reel, isWound, estimate }: LoadToMeasure): readonly Asked[] {
  const caliper = (kind: MeasurementKind, noiseM: number, of: (load: RealisedLoad) => number): Asked => ({
    ...{ kind, of: reel.id, name: reel.name, atM: null },
    reads: [{ noiseVariance: noiseM ** 2, of }],
  });
  const open = (what: 'arbor' | 'width' | 'rim'): boolean => reel.unmeasured.includes(what);
  const flangeM = ERRORS.flangeShare.sd * estimate.best.line.spool.widthM;
  return [
    ...(open('rim') ? [caliper('rim', ERRORS.caliperM.sd, (load) => load.rimDiameterM)] : []),
    // The arbor is under the line, and the width between flanges is best taken there too.
    ...(open('arbor') && !isWound
      ? [caliper('arbor', ERRORS.caliperM.sd, ({ line }) => line.spool.arborDiameterM)]
      : []),
    ...(open('width') && !isWound
      ? [caliper('width', Math.hypot(ERRORS.caliperM.sd, flangeM), ({ line }) => line.spool.widthM)]
      : []),
  ];
}

/** Tests of the load that is on. */
function ofCounter(load: LoadToMeasure): readonly Asked[] {
  const { estimate, rigId, reel, isWound, canReadLevel, hasCounter, walkM, coloursM } = load;
  const { segments } = estimate.best.line;
  const { unitM, drive } = estimate.counter;
  const goneSinceM = segments.map(() => 0);
  const asked = (
    kind: MeasurementKind,
    of: string,
    atM: number | null,
    seen: readonly CounterObservation[],
  ): Asked => ({
    ...{ kind, of, atM, name: reel.name },
    reads: seen.map((each) => ({
      noiseVariance: withTails(sdOf(each, estimate.counter) ** 2, EVIDENCE_TAILS),
      of: (realised) => predicted(each, realised, unitM),
    })),
  });
  const expected = (seen: CounterObservation): number => Math.max(predicted(seen, estimate.best, unitM), 1e-9);
  const along = (kind: 'tape' | 'colour', trueLengthM: number, lengthSdM: number): CounterObservation => {
    const seen = { kind, name: kind, trueLengthM, lengthSdM, reading: 0, goneSinceM };
    return { ...seen, reading: expected(seen) };
  };
  const level: LevelObservation = {
    kind: 'level',
    name: 'level',
    afterSegment: segments.findLastIndex((segment) => segment.wound),
    levelBelowRimM: 0,
    levelSdM: ERRORS.levelM.sd,
    goneSinceM,
  };
  const turned = { kind: 'turns', name: 'turns', turns: TURNS, reading: 0, betweenFlips: true } as const;
  const colours = coloursM.map((lengthM) =>
    along('colour', lengthM, ERRORS.lengthShare.sd * lengthM + ERRORS.colourEyeM.sd),
  );
  return [
    ...(isWound && canReadLevel ? [asked('level', rigId, null, [level])] : []),
    ...(hasCounter && drive !== 'roller'
      ? [asked('turns', reel.id, null, [{ ...turned, reading: expected(turned) }])]
      : []),
    ...(isWound && hasCounter && walkM !== null
      ? [asked('walk', rigId, walkM, [along('tape', walkM, ERRORS.walkM.sd)])]
      : []),
    ...(isWound && hasCounter && colours.length > 0 ? [asked('colours', rigId, coloursM.at(-1) ?? null, colours)] : []),
  ];
}

/** How far a line packs otherwise where it lies alone: two windings, and how packing changes with depth. */
const ALONE_SHARE = Math.hypot(ERRORS.packingRepeatShare.sd * Math.SQRT2, ERRORS.packingDepthShare.sd / 2);

/** A whole spool of known length wound on alone, and the level read: says of arbor, width, rim and line what they are together. */
function ofSpool({ spool, estimate, isWound }: LoadToMeasure): readonly Asked[] {
  if (spool === null || isWound) return [];
  const { segmentId, name, lengthM } = spool;
  const outerM = ({ line }: RealisedLoad): { readonly outerM: number; readonly perShareM: number } => {
    const segment = line.segments.find((each) => each.id === segmentId);
    const ringM2 = ((4 * (segment?.areaM2 ?? NaN)) / (Math.PI * line.spool.widthM)) * lengthM;
    const outer = Math.sqrt(line.spool.arborDiameterM ** 2 + ringM2);
    return { outerM: outer, perShareM: ringM2 / (4 * outer) };
  };
  const { perShareM } = outerM(estimate.best);
  return [
    {
      ...{ kind: 'spool', of: segmentId, name, atM: lengthM },
      reads: [
        {
          noiseVariance: withTails(
            ERRORS.levelM.sd ** 2 + (perShareM * Math.hypot(ALONE_SHARE, ERRORS.lengthShare.sd)) ** 2,
            EVIDENCE_TAILS,
          ),
          of: (load) => (load.rimDiameterM - outerM(load).outerM) / 2,
        },
      ],
    },
  ];
}
