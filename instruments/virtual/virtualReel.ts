import { countsWoundOn, shownReading, turnsForCounts, type Counter } from '../../core/counter/counter';
import { failure, success, type Outcome } from '../../core/result';
import type { CounterInstrument } from '../instrument';
import { normalDeviate, seededRandom, type Random } from '../random';
import { layReel, turnsOff, type ReelTruth, type TrueLine, type WoundLine } from './layReel';

/** The simulated reel's changing part, kept between visits. */
export interface VirtualReelState {
  readonly wound: readonly WoundLine[];
  /** Spool turns off the full reel, and where the counter was zeroed. */
  readonly turnsOut: number;
  readonly zeroTurns: number;
  /** Counts every handling, so that each has its own chance and a repeat is not a copy. */
  readonly handlings: number;
  /** The load that its lines were wound on for; left out where nobody has said. */
  readonly loadId?: string;
}

export const EMPTY_REEL: VirtualReelState = { wound: [], turnsOut: 0, zeroTurns: 0, handlings: 0 };

/** SD of how exactly a person walks to a mark on a tape (m). */
const WALK_SD_M = 0.03;
/** SD of a level read with a caliper (m). */
const LEVEL_READING_SD_M = 0.00015;

function truthCounter(truth: ReelTruth): Counter {
  const { lengthPerTurnM, unitM, digits } = truth;
  return { lengthPerTurnM, unitM, digits, display: truth.rounds ? 'rounds' : 'truncates' };
}

function chance(truth: ReelTruth, state: VirtualReelState): Random {
  return seededRandom(truth.seed * 7919 + state.handlings);
}

/**
 * A reel on the virtual bench: hidden truth, laid turn by turn, with a counter to read and hands to
 * work it. Every handling returns the state that follows.
 */
export class VirtualReel implements CounterInstrument {
  readonly label = { name: 'virtual counter reel', simulated: true };

  constructor(
    private readonly truth: ReelTruth,
    readonly state: VirtualReelState,
  ) {}

  read(): number {
    const { turnsOut, zeroTurns } = this.state;
    const counts = ((turnsOut - zeroTurns) * this.truth.lengthPerTurnM) / this.truth.unitM;
    return shownReading(counts, truthCounter(this.truth));
  }

  private next(change: Partial<VirtualReelState>): VirtualReel {
    return new VirtualReel(this.truth, { ...this.state, ...change, handlings: this.state.handlings + 1 });
  }

  zero(): VirtualReel {
    return this.next({ zeroTurns: this.state.turnsOut });
  }

  /** Winds a line on from zero until its known length is used up; the counter runs backwards. */
  windOnLength(line: TrueLine, lengthM: number): VirtualReel {
    return this.wound([...this.state.wound, { ...line, lengthM }]);
  }

  /** Winds a line on from zero and stops where a person would when the display shows a reading. */
  windOnToReading(line: TrueLine, reading: number, expectedCounts: number): VirtualReel {
    const counter = truthCounter(this.truth);
    // A hand stops somewhere within the count that is shown.
    const counts = countsWoundOn(reading, counter, expectedCounts) + (chance(this.truth, this.state)() - 0.5) * 0.8;
    const lines = [...this.state.wound, { ...line, lengthM: 0 }];
    const laid = layReel(this.truth, lines, turnsForCounts(Math.max(counts, 0.1), counter));
    return this.wound([...this.state.wound, { ...line, lengthM: laid.lengthsPerLineM.at(-1) ?? 0 }]);
  }

  private wound(wound: readonly WoundLine[]): VirtualReel {
    const turns = layReel(this.truth, wound).turnsPerLine.at(-1) ?? 0;
    // Zeroed at the start of the segment: winding on leaves the counter that many turns below zero.
    return this.next({ wound, turnsOut: 0, zeroTurns: turns });
  }

  /** Zeroes the counter with all line on, and walks the line's end to a mark on a tape. */
  walk(lengthM: number): Outcome<VirtualReel, 'walk-longer-than-line'> {
    const reel = layReel(this.truth, this.state.wound);
    const onReelM = reel.lengthsPerLineM.reduce((sum, length) => sum + length, 0);
    const walkedM = lengthM + WALK_SD_M * normalDeviate(chance(this.truth, this.state));
    if (walkedM > onReelM) {
      return failure('walk-longer-than-line');
    }
    return success(this.next({ zeroTurns: 0, turnsOut: turnsOff(reel, Math.max(walkedM, 0)) }));
  }

  /** What the counter would show at a length off the spool if nobody erred and nothing were rounded. */
  exactCounts(lengthM: number): number {
    return (turnsOff(layReel(this.truth, this.state.wound), lengthM) * this.truth.lengthPerTurnM) / this.truth.unitM;
  }

  /** The line stays as it is: hands were busy with something beside the reel. */
  handled(): VirtualReel {
    return this.next({});
  }

  /** The reel as a load finds it: what was wound for another one comes off first. */
  forLoad(loadId: string): VirtualReel {
    const { state } = this;
    if (state.loadId === loadId) return this;
    return new VirtualReel(this.truth, { ...EMPTY_REEL, loadId, handlings: state.handlings + 1 });
  }

  /** Winds all line back on. */
  rewind(): VirtualReel {
    return this.next({ turnsOut: 0, zeroTurns: 0 });
  }

  /** Takes line off the outer end for good, through as many lines as it takes: what is gone keeps its place, with no length. */
  strip(lengthM: number): Outcome<VirtualReel, 'strip-longer-than-line'> {
    let toGoM = lengthM;
    const left = this.state.wound.toReversed().map((line) => {
      const goneM = Math.min(line.lengthM, toGoM);
      toGoM -= goneM;
      return { ...line, lengthM: line.lengthM - goneM };
    });
    if (!left.some((line) => line.lengthM > 0)) return failure('strip-longer-than-line');
    return success(this.next({ wound: left.toReversed(), turnsOut: 0, zeroTurns: 0 }));
  }

  /** Puts more of one of its lines on, by its place from the arbor. */
  add(line: number, lengthM: number): VirtualReel {
    const wound = this.state.wound.map((each, at) =>
      at === line ? { ...each, lengthM: each.lengthM + lengthM } : each,
    );
    return this.next({ wound, turnsOut: 0, zeroTurns: 0 });
  }

  /** Level below the rim (m), as a caliper on three points reads it; negative above the rim. */
  levelBelowRimM(): number {
    const { meanDiameterM } = layReel(this.truth, this.state.wound);
    const readM = (this.truth.rimDiameterM - meanDiameterM) / 2;
    return readM + LEVEL_READING_SD_M * normalDeviate(chance(this.truth, this.state));
  }

  /** Mean diameter with everything on (m): what the drag's torque acts on. */
  diameterM(): number {
    return layReel(this.truth, this.state.wound).meanDiameterM;
  }
}
