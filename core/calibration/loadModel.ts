import type { Counter } from '../counter/counter';
import type { JointErrors } from '../load/planLoad';
import { ERRORS } from '../measurement/errors';
import type { Known } from '../provenance/source';
import { because, type Reason } from '../reasons';
import { buildLoadedLine, type SegmentToLoad } from '../spool/loadedLine';
import { segmentDepths } from '../spool/segmentDepths';
import type { RealisedLoad } from './observations';

/** A load and its counter as they are believed before any of the observations. */
export interface BelievedLoad {
  readonly arborDiameterM: Known;
  readonly widthM: Known;
  readonly fullDiameterM: Known;
  /** Length that the counter takes one turn to be (m). */
  readonly constantM: Known;
  readonly counter: Pick<Counter, 'unitM' | 'display' | 'drive'>;
  /** In order from the arbor. */
  readonly segments: readonly BelievedSegment[];
  /** How the errors of dimensions, constant, lines and tape go together; keys as plans use them. Null: independent. */
  readonly joint: JointErrors | null;
  /**
   * Relative SD by which every line packs otherwise on this load than on others; left out where the lines' own SDs have it in them,
   * being those of a next load.
   */
  readonly repeatRelativeSd?: number;
  /** By how much lengths are longer than the outfit's tape says, as its other walks have it; left out: nothing is known. */
  readonly tapeShare?: number;
}

export interface BelievedSegment extends SegmentToLoad {
  readonly lineId: string;
  /** Relative SD of the space that a metre takes, where `joint` does not name the line. */
  readonly areaRelativeSd: number;
  /** Relative SD of the length: small where it was measured, large where only counts say. */
  readonly lengthRelativeSd: number;
  /** How much it is stretched as it goes on, as a share of its relaxed length. */
  readonly windingStrain: { readonly value: number; readonly sd: number };
}

/** Something of a load that may be otherwise than believed: the logarithm of a factor, or a share; 0 ± its SD. */
export interface LoadUnknown {
  readonly key: string;
  readonly from: Reason;
  readonly sd: number;
  /**
   * What other loads share it: those of the reel, those with the line, all of the outfit, or none; of those of one load, what the
   * winding made has nothing to do with the next winding.
   */
  readonly scope: 'reel' | 'line' | 'outfit' | 'load' | 'winding';
}

export interface LoadModel {
  readonly unknowns: readonly LoadUnknown[];
  /** The load that values of the unknowns mean. */
  realise(valueOf: (key: string) => number): RealisedLoad;
}

/** The tape and the person who pulls it: one unknown for all walks of an outfit. */
export const TAPE_KEY = 'tape';
export const SLIP_KEY = 'slip';
/** How the keys of winding strains begin. */
export const STRETCH = 'stretch of ';
const DEPTH_KEY = 'depth';

/** Nothing is off by more than a factor of a hundred or so; a step beyond it is no load, and cannot be predicted. */
const FARTHEST_LOG = 5;

const stretchKey = (segment: BelievedSegment): string => `${STRETCH}${segment.lineId}`;
const repeatKey = (segment: BelievedSegment): string => `repeat of ${segment.lineId}`;
const lengthKey = (segment: BelievedSegment): string => `length of ${segment.id}`;

/**
 * The one model of a load and its counter, behind what a boat's loads teach and behind the estimate of the load that is on: which of
 * its figures may be off, by how much, with which other loads they are shared, and what load they then mean. Segments of one line
 * share its bulk and its stretch.
 *
 * @param believed the load beforehand; its joint errors are not looked at
 */
export function loadModel(believed: BelievedLoad): LoadModel {
  const { segments } = believed;
  const factor = (value: number): number => Math.exp(Math.min(Math.max(value, -FARTHEST_LOG), FARTHEST_LOG));
  const { arborDiameterM, widthM, fullDiameterM } = believed;
  const asBelieved = buildLoadedLine({ arborDiameterM: arborDiameterM.value, widthM: widthM.value }, segments);
  const depths = segmentDepths(asBelieved, fullDiameterM.value);
  // A fit asks for thousands of loads: what does not change is worked out once.
  const rows = segments.map((segment, index) => ({
    segment,
    depth: depths[index] ?? 0,
    repeat: believed.repeatRelativeSd === undefined ? null : repeatKey(segment),
    length: lengthKey(segment),
    stretch: stretchKey(segment),
  }));
  return {
    unknowns: unknownsOf(believed),
    realise: (valueOf) => {
      const depthShare = valueOf(DEPTH_KEY);
      const spool = {
        arborDiameterM: believed.arborDiameterM.value * factor(valueOf('arborDiameterM')),
        widthM: believed.widthM.value * factor(valueOf('widthM')),
      };
      const line = buildLoadedLine(
        spool,
        rows.map(({ segment, depth, repeat, length, stretch }) => ({
          ...segment,
          packing:
            (segment.packing * factor(depthShare * depth)) /
            factor(valueOf(segment.lineId) + (repeat === null ? 0 : valueOf(repeat))),
          lengthM: segment.lengthM * factor(valueOf(length)),
          strain: (1 + segment.windingStrain.value) * factor(valueOf(stretch)) - 1,
        })),
      );
      return {
        line,
        rimDiameterM: believed.fullDiameterM.value * factor(valueOf('fullDiameterM')),
        constantM: believed.constantM.value * factor(valueOf('counter')),
        drive: believed.counter.drive ?? 'spool',
        depthShare,
        slipShare: valueOf(SLIP_KEY),
        tapeShare: (believed.tapeShare ?? 0) + valueOf(TAPE_KEY),
      };
    },
  };
}

function unknownsOf(believed: BelievedLoad): readonly LoadUnknown[] {
  const of = ({ value, sd }: Known): number => sd / value;
  const byRoller = believed.counter.drive === 'roller';
  const found = new Map<string, LoadUnknown>();
  const add = (key: string, from: Reason, sd: number, scope: LoadUnknown['scope']): void => {
    if (!found.has(key)) found.set(key, { key, from, sd, scope });
  };
  add('counter', because('error-counter-constant'), of(believed.constantM), 'reel');
  add('arborDiameterM', because('error-arbor'), of(believed.arborDiameterM), 'reel');
  add('widthM', because('error-width'), of(believed.widthM), 'reel');
  add('fullDiameterM', because('error-full-diameter'), of(believed.fullDiameterM), 'reel');
  add(TAPE_KEY, because('error-tape-shared'), ERRORS.tapeShare.sd, 'outfit');
  add(SLIP_KEY, because('error-slip'), byRoller ? ERRORS.rollerSlipShare.sd : ERRORS.slipShare.sd, 'winding');
  add(DEPTH_KEY, because('error-packing-depth'), ERRORS.packingDepthShare.sd, 'winding');
  for (const segment of believed.segments.filter((each) => each.wound)) {
    const of = { of: segment.name };
    add(segment.lineId, because('error-bulk', of), segment.areaRelativeSd, 'line');
    if (believed.repeatRelativeSd !== undefined) {
      add(repeatKey(segment), because('error-load-repeat'), believed.repeatRelativeSd, 'winding');
    }
    add(stretchKey(segment), because('error-stretch', of), segment.windingStrain.sd, 'winding');
    add(lengthKey(segment), because('error-length', of), segment.lengthRelativeSd, 'load');
  }
  return [...found.values()];
}
