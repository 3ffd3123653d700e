import { normalDeviate, seededRandom } from '../random';

/** What the simulated reel really is. The application never sees this; it sees readings. */
export interface ReelTruth {
  readonly arborDiameterM: number;
  readonly widthM: number;
  readonly rimDiameterM: number;
  readonly lengthPerTurnM: number;
  readonly unitM: number;
  readonly digits: number;
  readonly rounds: boolean;
  /** Travel of the level wind per spool turn (m). */
  readonly pitchM: number;
  /** How unevenly the level wind travels: relative SD of one turn's pitch. */
  readonly pitchRelativeSd: number;
  /** How much slower the level wind travels in the middle than on average: makes a crown. */
  readonly crown: number;
  /** Relative SD of the space that one turn takes. */
  readonly packingRelativeSd: number;
  readonly seed: number;
}

/** A line as it really is on the simulated reel. */
export interface TrueLine {
  readonly lineDiameterM: number;
  readonly packing: number;
  /** Stretch under the winding tension: relaxed length = wound length ÷ (1 + strain). */
  readonly strain: number;
}

export interface WoundLine extends TrueLine {
  /** Relaxed length (m). */
  readonly lengthM: number;
}

/** One laid turn, or the part of one at a segment's end. */
interface LaidTurn {
  readonly turns: number;
  readonly lengthM: number;
}

export interface LaidReel {
  /** From the arbor outwards. */
  readonly laid: readonly LaidTurn[];
  /** Turns of each wound line, in their order. */
  readonly turnsPerLine: readonly number[];
  readonly lengthsPerLineM: readonly number[];
  /** Mean diameter over the spool's width (m). */
  readonly meanDiameterM: number;
  /** Diameter over the highest place (m): what a straight edge touches. */
  readonly crestDiameterM: number;
}

const STRIPS = 60;

/**
 * Winds lines onto a simulated reel one turn at a time. This is another computation than the core's
 * on purpose: the spool's width is cut into strips, every turn lies on the mean height of the strips
 * it covers and raises them, and the level wind goes to and fro with its own uneven pitch.
 *
 * @param truth the reel
 * @param lines from the arbor outwards; the last may end by turns instead of by length
 * @param lastStopTurns when given, the last line's length is ignored and it ends after these turns
 * @throws RangeError when it takes more than a hundred thousand turns
 */
export function layReel(truth: ReelTruth, lines: readonly WoundLine[], lastStopTurns?: number): LaidReel {
  const random = seededRandom(truth.seed);
  const heightsM = new Float64Array(STRIPS);
  const laid: LaidTurn[] = [];
  const turnsPerLine: number[] = [];
  const lengthsPerLineM: number[] = [];
  const carriage = { x: 0, direction: 1 };
  lines.forEach((line, index) => {
    const byTurns = lastStopTurns !== undefined && index === lines.length - 1;
    let turnsLeft = byTurns ? lastStopTurns : Infinity;
    let lengthLeftM = byTurns ? Infinity : line.lengthM;
    let turns = 0;
    let lengthM = 0;
    while (turnsLeft > 1e-12 && lengthLeftM > 1e-12) {
      if (laid.length > 100_000) throw new RangeError('layReel: more than a hundred thousand turns');
      const whole = layOneTurn(truth, line, heightsM, carriage, random, Math.min(1, turnsLeft), lengthLeftM);
      laid.push(whole);
      turns += whole.turns;
      lengthM += whole.lengthM;
      turnsLeft -= whole.turns;
      lengthLeftM -= whole.lengthM;
    }
    turnsPerLine.push(turns);
    lengthsPerLineM.push(lengthM);
  });
  const meanHeightM = heightsM.reduce((sum, height) => sum + height, 0) / STRIPS;
  return {
    laid,
    turnsPerLine,
    lengthsPerLineM,
    meanDiameterM: truth.arborDiameterM + 2 * meanHeightM,
    crestDiameterM: truth.arborDiameterM + 2 * Math.max(...heightsM),
  };
}

function layOneTurn(
  truth: ReelTruth,
  line: TrueLine,
  heightsM: Float64Array,
  carriage: { x: number; direction: number },
  random: () => number,
  mostTurns: number,
  mostLengthM: number,
): LaidTurn {
  const stripM = truth.widthM / STRIPS;
  // Stretched line is thinner by as much as it is longer: its volume stays.
  const bareM2 = ((Math.PI / 4) * line.lineDiameterM ** 2) / (1 + line.strain);
  const areaM2 = (bareM2 * (1 + truth.packingRelativeSd * normalDeviate(random))) / line.packing;
  const footprintM = Math.max(truth.pitchM, line.lineDiameterM);
  const from = lowestStart(truth, heightsM, carriage.x, footprintM);
  const underM = groundUnderM(truth, heightsM, from, footprintM);
  const thicknessM = areaM2 / footprintM;
  const wholeTurnM = (Math.PI * (truth.arborDiameterM + 2 * underM + thicknessM)) / (1 + line.strain);
  const turns = Math.min(mostTurns, mostLengthM / wholeTurnM);
  eachStrip(truth, from, footprintM, (strip, share) => {
    heightsM[strip] = (heightsM[strip] ?? 0) + (turns * areaM2 * share) / stripM;
  });
  const middle = 1 - truth.crown * Math.cos((2 * Math.PI * carriage.x) / truth.widthM - Math.PI);
  carriage.x +=
    carriage.direction * turns * truth.pitchM * middle * (1 + truth.pitchRelativeSd * normalDeviate(random));
  if (carriage.x > truth.widthM) [carriage.x, carriage.direction] = [2 * truth.widthM - carriage.x, -1];
  if (carriage.x < 0) [carriage.x, carriage.direction] = [-carriage.x, 1];
  return { turns, lengthM: turns * wholeTurnM };
}

/** Where a turn that lies about `x` begins: between the flanges, and slid into a hollow beside it if there is one. */
function lowestStart(truth: ReelTruth, heightsM: Float64Array, x: number, footprintM: number): number {
  let lowest = NaN;
  let lowestM = Infinity;
  for (const shift of [0, -0.5, 0.5]) {
    const from = Math.max(0, Math.min(x + (shift - 0.5) * footprintM, truth.widthM - footprintM));
    const underM = groundUnderM(truth, heightsM, from, footprintM);
    if (underM < lowestM) [lowest, lowestM] = [from, underM];
  }
  return lowest;
}

/** Calls `work` for every strip under a turn with the share of the turn that lies on it. */
function eachStrip(
  truth: ReelTruth,
  from: number,
  footprintM: number,
  work: (strip: number, share: number) => void,
): void {
  const stripM = truth.widthM / STRIPS;
  const to = from + footprintM;
  for (let strip = Math.floor(from / stripM); strip < STRIPS && strip * stripM < to; strip += 1) {
    const overlap = Math.min((strip + 1) * stripM, to) - Math.max(strip * stripM, from);
    if (overlap > 0) work(strip, overlap / footprintM);
  }
}

function groundUnderM(truth: ReelTruth, heightsM: Float64Array, from: number, footprintM: number): number {
  let underM = 0;
  eachStrip(truth, from, footprintM, (strip, share) => {
    underM += share * (heightsM[strip] ?? 0);
  });
  return underM;
}

/**
 * Spool turns that a relaxed length takes coming off the full reel.
 *
 * @throws RangeError when there is less on the reel
 */
export function turnsOff(reel: LaidReel, lengthM: number): number {
  let leftM = lengthM;
  let turns = 0;
  for (const turn of reel.laid.toReversed()) {
    if (leftM <= turn.lengthM) return turns + (turn.lengthM > 0 ? (leftM / turn.lengthM) * turn.turns : 0);
    leftM -= turn.lengthM;
    turns += turn.turns;
  }
  if (leftM > 1e-9) throw new RangeError(`turnsOff: ${lengthM} m is more than is on the reel`);
  return turns;
}
