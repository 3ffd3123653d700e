import { ERRORS } from '../../core/measurement/errors';
import { estimateCounter } from '../../core/calibration/estimateCounter';
import type { BelievedLoad } from '../../core/calibration/loadModel';
import { withTopStripped, type LengthObservation } from '../../core/calibration/observations';
import { topAdjustment } from '../../core/calibration/topAdjustment';
import { spoolStateAt, type LoadedLine } from '../../core/spool/loadedLine';
import { solveSegment } from '../../core/spool/solveSegment';
import { normalDeviate, seededRandom, type Random } from '../../instruments/random';
import { row } from './report';

/**
 * How near one and two walks bring a counter, over a seeded population of plain loads: arbor 20 to 60 mm, full
 * over arbor 1.5 to 2.2 known to 1 % SD, width 20 to 40 mm, capacity at least 300 ft known to 2.5 % SD, constant
 * off by up to 12 %, filled to 85 to 100 % of the rim, whole feet read, 2 in of tape and mark error a walk. Beside
 * it, in the same run, a person who strips or adds ten yards at a time, and one who halves the step.
 */
const FOOT_M = 0.3048;
const WALK_M = 100 * FOOT_M;
const WALK_SD_M = 0.0508;
const STEP_M = 9.144;
const MOST_WALKS = 12;

interface Rod {
  readonly truth: LoadedLine;
  readonly believed: LoadedLine;
  readonly constantM: number;
  /** The maker's statement, off by up to 12 %. */
  readonly statedM: number;
  readonly rimM: number;
  readonly random: Random;
}

function plain(arborDiameterM: number, widthM: number, diameterM: number, lineDiameterM: number): LoadedLine {
  const segment = { id: 'plain', name: 'plain', lengthM: null, lineDiameterM, packing: 0.68, wound: true };
  const solved = solveSegment({ arborDiameterM, widthM }, [segment], diameterM);
  if (!solved.ok) throw new Error(solved.reason);
  return solved.value.line;
}

function makeRod(seed: number): Rod {
  const random = seededRandom(seed);
  const between = (low: number, high: number): number => low + (high - low) * random();
  for (;;) {
    const arborM = between(0.02, 0.06);
    const rimM = arborM * between(1.5, 2.2);
    const widthM = between(0.02, 0.04);
    const lineDiameterM = between(0.0003, 0.0006);
    const full = plain(arborM, widthM, rimM, lineDiameterM);
    if (full.woundLengthM < 300 * FOOT_M) continue;
    const filledM = arborM + (rimM - arborM) * between(0.85, 1);
    const truth = plain(arborM, widthM, filledM, lineDiameterM);
    if (truth.woundLengthM < WALK_M * 1.3) continue;
    // What the person knows: the level to 1 %, and what a full spool holds to 2.5 %.
    const knownM = filledM * (1 + 0.01 * normalDeviate(random));
    const areaFactor = 1 / (1 + 0.025 * normalDeviate(random));
    const believed = plain(arborM * (knownM / filledM), widthM, knownM, lineDiameterM * Math.sqrt(areaFactor));
    const meanTurnM = full.woundLengthM > WALK_M ? WALK_M / spoolStateAt(full, WALK_M).turns : NaN;
    return { truth, believed, constantM: meanTurnM * between(0.88, 1.12), statedM: meanTurnM, rimM, random };
  }
}

const exactReading = (rod: Rod, truth: LoadedLine, walkedM: number): number =>
  (spoolStateAt(truth, Math.min(walkedM, truth.woundLengthM)).turns * rod.constantM) / FOOT_M;
const walk = (rod: Rod, truth: LoadedLine): number =>
  Math.round(exactReading(rod, truth, WALK_M + WALK_SD_M * normalDeviate(rod.random)));
const isTrue = (rod: Rod, truth: LoadedLine): boolean => Math.abs(exactReading(rod, truth, WALK_M) / 100 - 1) <= 0.01;

interface Result {
  /** True after n adjustments. */
  readonly trueAfter: readonly boolean[];
  /** Walks until the reading said 100, the confirming one included; null when it never did. */
  readonly walks: number | null;
}

/** SD of a constant that is off by up to 12 % either way, all alike. */
const STATED_RELATIVE_SD = 0.12 / Math.sqrt(3);

const NONE = { value: 0, sd: 0 };

/** What the person knows: the diameter to 1 %, what it holds to 2.5 %, and the maker's statement. */
function believedLoad(rod: Rod, line: LoadedLine): BelievedLoad {
  const known = (value: number, relativeSd: number) => ({ value, sd: relativeSd * value, source: 'measured' }) as const;
  return {
    arborDiameterM: known(line.spool.arborDiameterM, 0.01),
    widthM: known(line.spool.widthM, 1e-6),
    fullDiameterM: known(rod.rimM, 1e-6),
    constantM: known(rod.statedM, STATED_RELATIVE_SD),
    counter: { unitM: FOOT_M, display: 'rounds' },
    segments: line.segments.map((each) => ({
      ...each,
      lineId: 'plain',
      areaRelativeSd: 0.025,
      lengthRelativeSd: 1e-6,
      windingStrain: NONE,
    })),
    joint: null,
  };
}

/** Follows the advice, every walk adding to the one estimate; null for a rod that would need more than its rim takes. */
function byAdvice(rod: Rod): Result | null {
  let { truth, believed } = rod;
  let walked: readonly LengthObservation[] = [];
  const trueAfter: boolean[] = [];
  let walks: number | null = null;
  for (let made = 1; made <= 4; made += 1) {
    const reading = walk(rod, truth);
    if (reading === 100 && walks === null) walks = made;
    const trial = { kind: 'tape', name: 'walk', trueLengthM: WALK_M, lengthSdM: ERRORS.walkM.sd } as const;
    walked = [...walked, { ...trial, reading, goneSinceM: [0] }];
    const estimate = estimateCounter(believedLoad(rod, believed), walked);
    const advice = topAdjustment(estimate, WALK_M, rod.rimM * 1.02);
    if (!advice.ok && advice.reason !== 'already-true') return null;
    const stripM = advice.ok ? advice.value.stripM.value : 0;
    truth = withTopStripped(truth, stripM);
    believed = withTopStripped(believed, stripM);
    walked = walked.map((each) => ({ ...each, goneSinceM: [(each.goneSinceM[0] ?? 0) + stripM] }));
    trueAfter.push(isTrue(rod, truth));
  }
  return { trueAfter, walks };
}

/** A person who strips or adds a fixed step, or halves it each time the side changes. */
function bySteps(rod: Rod, halving: boolean): Result {
  let { truth } = rod;
  let stepM = STEP_M;
  let lastSide = 0;
  const trueAfter: boolean[] = [];
  let walks: number | null = null;
  for (let made = 1; made <= MOST_WALKS; made += 1) {
    const reading = walk(rod, truth);
    if (reading === 100 && walks === null) walks = made;
    const side = Math.sign(100 - reading);
    if (halving && lastSide !== 0 && side !== lastSide) stepM /= 2;
    lastSide = side || lastSide;
    const room = truth.woundLengthM - WALK_M * 1.05;
    truth = withTopStripped(truth, Math.min(side * stepM, Math.max(room, 0)));
    trueAfter.push(isTrue(rod, truth));
  }
  return { trueAfter, walks };
}

function say(name: string, results: readonly Result[]): void {
  const after = (n: number): string =>
    ((100 * results.filter((result) => result.trueAfter[n - 1]).length) / results.length).toFixed(1);
  const walks = results.map((result) => result.walks ?? MOST_WALKS + 1).toSorted((a, b) => a - b);
  const median = walks[Math.floor(walks.length / 2)] ?? NaN;
  row(
    `${name}: within 1 % after one, two adjustments; median walks`,
    `${after(1)} %, ${after(2)} %; ${median > MOST_WALKS ? `over ${MOST_WALKS}` : median}`,
  );
}

export function benchFirstAdvice(rods: number): void {
  const advised: Result[] = [];
  const stepped: Result[] = [];
  const halved: Result[] = [];
  let cardOnly = 0;
  for (let seed = 1; seed <= rods; seed += 1) {
    const result = byAdvice(makeRod(seed));
    if (!result) {
      cardOnly += 1;
      continue;
    }
    advised.push(result);
    stepped.push(bySteps(makeRod(seed), false));
    halved.push(bySteps(makeRod(seed), true));
  }
  row('rods that would need more line than the rim takes: card only', `${cardOnly} of ${rods}`);
  say('advice', advised);
  say('ten yards at a time', stepped);
  say('halving', halved);
}
