import type { DragEnvelope } from '../../drag/dragEnvelope';
import type { PlaceAtRisk, PullAtRisk } from '../../drag/risk';
import { waterAlong, type RunThroughWater } from '../../drag/waterPull';
import { sharesOf } from '../../joins/joinEfficiency';
import { ERRORS } from '../../measurement/errors';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import type { Figure } from '../../provenance/figure';
import type { LoadedLine } from '../../spool/loadedLine';
import type { RigStrength } from '../../strength/rigStrength';
import type { StrengthKnown } from '../../strength/strengthDraws';
import { summarisePulls } from '../../strength/summarisePulls';
import { segmentsOfJoin, strandsAt } from '../line/structures';
import { productIdNow } from '../line/woundSegments';
import { joinEfficiency, pooledCvOf, productStrength, PULLS_FOR_A_MEAN } from '../strength/strengthOfRig';
import type { JoinRecord, RigRecord } from '../../record/record';

/** What a chance of breaking is worked out from, and what it rests on. */
export interface RigAtRisk {
  readonly places: readonly PlaceAtRisk[];
  readonly pull: PullAtRisk;
  /** The same with a jerk of the fish at each length; null where nobody can say how the line gives way. Never mixed with the steady pull. */
  readonly jerked: PullAtRisk | null;
  /** Lines of which too little is known for a chance: fewer than three pulls, and no other line of their kind lends its scatter. */
  readonly unknown: readonly string[];
  /** Joins that nobody has pulled: there it rests on defaults. */
  readonly untested: readonly string[];
}

/** What a jerk adds to the pull at a length out, as {@link surgeOfRig} has it; null where it cannot be said. */
export type SurgeAt = (lengthOutM: number) => Pick<Figure, 'value' | 'plusMinus'> | null;

/** Stations that a chance is worked out at: it costs a hundred times what the envelope does. */
const STATIONS = 40;

/**
 * A rig and its drag left alone, as the chance of breaking needs them.
 *
 * @param strength of what may be out
 * @param outM length from the hook to which line may be out (m)
 * @param surgeAt tension at its highest with a jerk at a length out (N)
 */
export function riskOfRig(
  record: RigRecord,
  line: LoadedLine,
  strength: RigStrength,
  envelope: DragEnvelope,
  run: RunThroughWater,
  outM: number,
  surgeAt: SurgeAt = () => null,
): RigAtRisk {
  const water = waterAlong(line, run);
  const unknown = new Set<string>();
  const untested: string[] = [];
  const lineOf = (segmentId: string): StrengthKnown => {
    const known = lineKnown(record, productIdNow(record, segmentId));
    if (!known.isEnough) unknown.add(known.name);
    return known.strength;
  };
  const places = strength.places.map((place): PlaceAtRisk => {
    const join = place.kind === 'join' ? record.joins.find((each) => each.id === place.id) : undefined;
    const { id, name, fromHookM, toHookM } = place;
    const at = { id, name, fromHookM, toHookM, waterN: water(fromHookM).value };
    if (!join) return { ...at, lines: [lineOf(id)], keeps: null };
    if (sharesOf(join.breaks).length < PULLS_FOR_A_MEAN) untested.push(name);
    const strands = strandsAt(record.joins, join, joinEfficiency(join).source === 'measured');
    const ends = segmentsOfJoin(join);
    return { ...at, lines: ends.map(lineOf), keeps: joinKnown(join), strands: ends.length === 2 ? strands : [] };
  });
  const reached = envelope.points.filter((point) => point.lengthOutM > 0 && point.lengthOutM <= outM + 1e-9);
  const every = Math.max(1, Math.ceil(reached.length / STATIONS));
  const pull: PullAtRisk = {
    stations: reached
      .filter((_, index) => (reached.length - 1 - index) % every === 0)
      .map((point) => ({
        lengthOutM: point.lengthOutM,
        tipN: point.tipForceN,
        growthRelativeSd: point.factorPlusMinusShare / PLUS_MINUS_SDS,
        waterN: point.fishForceN - point.tipForceN,
        surgeN: 0,
      })),
    setRelativeSd: ERRORS.dragSetShare.sd,
    waterRelativeSd: run.friction.sd / run.friction.value,
    surgeRelativeSd: 0,
  };
  return {
    places,
    pull,
    jerked: jerkedPull(pull, surgeAt),
    unknown: [...unknown],
    untested,
  };
}

/** The pull with what a jerk adds at each length; what is not known of it is taken for the same share everywhere, its largest. */
function jerkedPull(pull: PullAtRisk, surgeAt: SurgeAt): PullAtRisk | null {
  const peaks = pull.stations.map(({ lengthOutM }) => surgeAt(lengthOutM));
  const known = peaks.filter((peak) => peak !== null);
  if (known.length === 0 || known.length < peaks.length) return null;
  const stations = pull.stations.map((station, index) => ({
    ...station,
    surgeN: Math.max((known[index]?.value ?? 0) - station.tipN, 0),
  }));
  const open = stations.map(({ surgeN }, index) =>
    surgeN > 0 ? (known[index]?.plusMinus ?? 0) / PLUS_MINUS_SDS / surgeN : 0,
  );
  return { ...pull, stations, surgeRelativeSd: Math.max(...open) };
}

/** A line as far as its strength is known, and whether that is enough for a chance: by its own pulls, or with a scatter that is lent. */
function lineKnown(record: RigRecord, productId: string) {
  const { product, summary, strengthN, gaugeLengthM } = productStrength(record, productId);
  const own = summary !== null && summary.n >= PULLS_FOR_A_MEAN ? summary : null;
  const lent = own ? null : pooledCvOf(record, productId);
  const strength: StrengthKnown = {
    ...{ key: `line ${productId}`, mean: own?.meanN ?? strengthN?.value ?? NaN },
    beliefRelativeSd: strengthN ? strengthN.sd / strengthN.value : 1,
    ...{ pulls: own?.n ?? 0, cv: own?.cv ?? lent?.cv ?? null },
    ...{ degrees: own ? own.n - 1 : (lent?.degrees ?? 0), lotRelativeSd: ERRORS.lotShare.sd },
    gaugeLengthM: gaugeLengthM ?? USUAL_GAUGE_M,
  };
  return { name: product.name, strength, isEnough: own !== null || lent !== null };
}

/** Length of the pieces that people pull (common practice, no source). */
const USUAL_GAUGE_M = 0.5;

function joinKnown(join: JoinRecord): StrengthKnown {
  const shares = sharesOf(join.breaks);
  const efficiency = joinEfficiency(join);
  const summary = summarisePulls(shares, null);
  const own = shares.length >= PULLS_FOR_A_MEAN && summary.ok ? summary.value : null;
  return {
    ...{ key: `join ${join.kind}`, mean: efficiency.value, beliefRelativeSd: efficiency.sd / efficiency.value },
    ...{ pulls: own?.n ?? 0, cv: own?.cv ?? null, degrees: own ? own.n - 1 : 0 },
    ...{ lotRelativeSd: 0, gaugeLengthM: null },
  };
}
