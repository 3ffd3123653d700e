import 'server-only';
import { because } from '../../core/reasons';
import { estimateCounter, type CounterEstimate } from '../../core/calibration/estimateCounter';
import { type LengthObservation } from '../../core/calibration/observations';
import { topAdjustment } from '../../core/calibration/topAdjustment';
import { ERRORS } from '../../core/measurement/errors';
import { LINE_ERRORS } from '../../core/measurement/lineErrors';
import { MATERIAL } from '../../core/materials/materials';
import { success } from '../../core/result';
import { buildLoadedLine } from '../../core/spool/loadedLine';
import { toSi } from '../../core/units/units';
import { normalDeviate, seededRandom } from '../../instruments/random';
import type { ReelTruth } from '../../instruments/virtual/layReel';
import { EMPTY_REEL, VirtualReel } from '../../instruments/virtual/virtualReel';
import { done, invalid, type UseCaseOutcome } from '../outcome';
import type { PracticeInput } from './practiceInput';

/** The walk of the game: 100 ft (common practice). */
const WALK_M = toSi('length', 100, 'ft');
/** A counter this near to true is right. */
const RIGHT_WITHIN = 0.01;
const LINE_M = 0.0004;

/** What a person sees of the game so far, what the advice says now, and how the advice alone would have fared. */
export interface PracticeShown {
  readonly fullDiameterM: number;
  readonly levelBelowRimM: number;
  readonly statedConstantM: number;
  readonly woundM: number;
  /** What the counter showed at each walk; the newest last. */
  readonly readings: readonly number[];
  readonly advisedStripM: number | null;
  readonly advisedPlusMinusM: number | null;
  /** Told at the end only. */
  readonly score: PracticeScore | null;
}

export interface PracticeScore {
  /** True error at the walk, as a share. */
  readonly trueError: number;
  readonly isRight: boolean;
  /** Walks after which the advice alone, followed to the letter, was right; null where it never was. */
  readonly adviceWalks: number | null;
}

interface Game {
  readonly truth: ReelTruth;
  readonly reel: VirtualReel;
  readonly lengthM: number;
  readonly levelBelowRimM: number;
  readonly statedConstantM: number;
}

function deal(seed: number): Game {
  const random = seededRandom(seed);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const rimDiameterM = between(0.055, 0.07);
  const arborDiameterM = rimDiameterM * between(0.5, 0.62);
  const widthM = between(0.026, 0.034);
  const packing = MATERIAL.nylon.packing.value * (1 + 0.05 * normalDeviate(random));
  const levelM = between(0.001, 0.003);
  const areaM2 = ((Math.PI / 4) * LINE_M ** 2) / packing;
  const outerM = rimDiameterM - 2 * levelM;
  const lengthM = ((Math.PI / 4) * widthM * (outerM ** 2 - arborDiameterM ** 2)) / areaM2;
  const statedConstantM = Math.PI * rimDiameterM * 0.9;
  const truth: ReelTruth = {
    arborDiameterM,
    widthM,
    rimDiameterM,
    // Mostly too full for its counter, so that something can come off.
    lengthPerTurnM: statedConstantM * between(0.86, 1),
    unitM: toSi('length', 1, 'ft'),
    digits: 3,
    rounds: true,
    pitchM: widthM / 24,
    pitchRelativeSd: 0.04,
    crown: 0.02,
    packingRelativeSd: 0.02,
    seed,
  };
  const line = { lineDiameterM: LINE_M, packing, strain: between(0.002, 0.01) };
  const reel = new VirtualReel(truth, EMPTY_REEL).windOnLength(line, lengthM);
  return { truth, reel, lengthM, levelBelowRimM: reel.levelBelowRimM(), statedConstantM };
}

/** What is believed of the reel from calipers, its level, the maker and the walks so far. */
function believe(game: Game, walks: readonly LengthObservation[], strippedM: number): CounterEstimate {
  const { truth, lengthM } = game;
  const known = (value: number, sd: number) => ({ value, sd, source: 'measured' }) as const;
  const line = buildLoadedLine({ arborDiameterM: truth.arborDiameterM, widthM: truth.widthM }, [
    {
      id: 'line',
      name: 'the line',
      lengthM: lengthM - strippedM,
      lineDiameterM: LINE_M,
      packing: MATERIAL.nylon.packing.value,
      wound: true,
    },
  ]);
  const level = { kind: 'level', name: 'level', afterSegment: 0, levelSdM: ERRORS.levelM.sd } as const;
  return estimateCounter(
    {
      arborDiameterM: known(truth.arborDiameterM, ERRORS.caliperM.sd),
      widthM: known(truth.widthM, ERRORS.caliperM.sd),
      fullDiameterM: known(truth.rimDiameterM, ERRORS.caliperM.sd),
      constantM: { value: game.statedConstantM, sd: 0.08 * game.statedConstantM, source: 'maker' },
      counter: { unitM: toSi('length', 1, 'ft'), display: 'rounds' },
      joint: null,
      segments: line.segments.map((segment) => ({
        ...segment,
        lineId: 'line',
        areaRelativeSd: 0.06,
        lengthRelativeSd: 0.02,
        windingStrain: LINE_ERRORS.nylon.windingStrain,
      })),
    },
    [...walks, { ...level, levelBelowRimM: game.levelBelowRimM, goneSinceM: [strippedM] }],
  );
}

interface Played {
  readonly reel: VirtualReel;
  readonly readings: readonly number[];
  readonly estimate: CounterEstimate;
}

/** Plays walk after walk: strips what the next move says, and walks again. */
function play(game: Game, moveOf: (estimate: CounterEstimate, walk: number) => number | null): UseCaseOutcome<Played> {
  let { reel } = game;
  let strippedM = 0;
  let walks: readonly LengthObservation[] = [];
  for (;;) {
    const walked = reel.walk(WALK_M);
    if (!walked.ok) return invalid('strippedM', because('practice-too-little-left'));
    reel = walked.value;
    const walk = { kind: 'tape', name: 'walk', trueLengthM: WALK_M, lengthSdM: ERRORS.walkM.sd } as const;
    walks = [...walks, { ...walk, reading: Math.max(reel.read(), 1), goneSinceM: [0] }];
    const estimate = believe(game, walks, strippedM);
    const move = moveOf(estimate, walks.length);
    if (move === null) return done({ reel, readings: walks.map((each) => each.reading), estimate });
    const stripped = move < 0 ? success(reel.add(0, -move)) : reel.strip(move);
    if (!stripped.ok) return invalid('strippedM', stripped);
    reel = stripped.value;
    strippedM += move;
    walks = walks.map((each) => ({ ...each, goneSinceM: [(each.goneSinceM[0] ?? 0) + move] }));
  }
}

/** How far the counter really is from true, by a walk that nobody makes: exact, unrounded. */
function trueError(game: Game, reel: VirtualReel): number {
  const exact = reel.exactCounts(WALK_M);
  return (exact * toSi('length', 1, 'ft')) / WALK_M - 1;
}

function adviceOf(game: Game, estimate: CounterEstimate) {
  return topAdjustment(estimate, WALK_M, game.truth.rimDiameterM * 1.03);
}

/** Plays a game as far as it has gone, and the advice's own game beside it. */
export function playPractice(input: PracticeInput): UseCaseOutcome<PracticeShown> {
  const game = deal(input.seed);
  const mine = play(game, (_, walk) => input.strippedM[walk - 1] ?? null);
  if (!mine.ok) return mine;
  const advice = adviceOf(game, mine.value.estimate);
  return done({
    fullDiameterM: game.truth.rimDiameterM,
    levelBelowRimM: game.levelBelowRimM,
    statedConstantM: game.statedConstantM,
    woundM: game.lengthM,
    readings: mine.value.readings,
    advisedStripM: advice.ok ? advice.value.stripM.value : null,
    advisedPlusMinusM: advice.ok ? advice.value.stripM.plusMinus : null,
    score: input.ended ? scoreOf(game, mine.value.reel) : null,
  });
}

function scoreOf(game: Game, reel: VirtualReel): PracticeScore {
  const error = trueError(game, reel);
  return { trueError: error, isRight: Math.abs(error) <= RIGHT_WITHIN, adviceWalks: walksOfAdvice(game) };
}

/** Walks, the confirming one included, that the advice alone needs; null where it is not right within six. */
function walksOfAdvice(game: Game): number | null {
  const its = play(game, (estimate, walk) => {
    const advice = adviceOf(game, estimate);
    return walk >= 6 || !advice.ok ? null : advice.value.stripM.value;
  });
  if (!its.ok || Math.abs(trueError(game, its.value.reel)) > RIGHT_WITHIN) return null;
  return its.value.readings.length;
}
