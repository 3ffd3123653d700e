import { correctionTable } from '../../calibration/correctionTable';
import { MATERIAL } from '../../materials/materials';
import { PLUS_MINUS_SDS } from '../../numerics/propagate';
import type { TowedAs } from '../../record/tow';
import { diveIsOpen, type DepthBelief } from '../../tow/depthBelief';
import { seenSdM, type SeenDepth } from '../../tow/seenDepth';
import { waterOf, WATER_TEMPERATURE_C } from '../../tow/medium';
import { sinksBy } from '../../tow/sinking';
import { COLOUR_LENGTH_M } from '../../units/parseQuantity';
import { productOf } from '../line/planForRig';
import { productIdNow } from '../line/woundSegments';
import { lengthsAtReadings, type RigView } from '../view/rigView';
import { workingRangeOf } from '../line/workingRange';
import { marksThatTeach } from './marksThatTeach';

/** How a rig is taken to be towed while nobody has said: a default, and shown as one. */
export const USUAL_TOW: TowedAs = {
  speedMS: 1,
  speedBy: 'through the water',
  currentMS: null,
  water: 'salt',
  temperatureC: null,
  tipHeightM: 1.2,
  lure: 'spoon',
  lurePullN: null,
  bottomM: null,
  rule: null,
};

/** What a speed through the water is off by: a log's own share, and a current that nobody knows or that somebody guesses (m/s; from memory). */
const LOG_SHARE_SD = 0.04;
const CURRENT_SD_MS = { unknown: 0.25, said: 0.1 } as const;

/** A rig in tow, as far as it is known. */
export interface TowedRig {
  readonly towed: TowedAs;
  /** False: nobody has said how it is towed, and the usual is taken. */
  readonly isTold: boolean;
  readonly belief: DepthBelief;
  /** Through the water (m/s). */
  readonly speedMS: number;
  /** The speed is over the ground, and nobody knows the current. */
  readonly isCurrentOpen: boolean;
  /** Its lure's dive has to be learned, and two depths were not seen yet. */
  readonly isDiveOpen: boolean;
  readonly marks: readonly SeenDepth[];
  /** Lengths out that it is fished with (m), and the most that may be out. */
  readonly rangeM: { readonly fromM: number; readonly toM: number };
  readonly mostM: number;
}

/** Speed through the water of a speed as it is read (m/s). */
export function throughWater({ speedBy, currentMS }: Pick<TowedAs, 'speedBy' | 'currentMS'>, readMS: number): number {
  return speedBy === 'over the ground' ? Math.max(readMS - (currentMS ?? 0), 0.05) : readMS;
}

function speedShareSd({ speedBy, currentMS }: TowedAs, speedMS: number): number {
  if (speedBy === 'through the water') return LOG_SHARE_SD;
  const current = currentMS === null ? CURRENT_SD_MS.unknown : CURRENT_SD_MS.said;
  return Math.hypot(0.01, current / speedMS);
}

/** Depths that were seen before a lure's dive is believed to be learned: at one, line and lure are told together only. */
const DIVES_SEEN = 2;

/** What is known of a rig that is towed: its line as it is on the reel, how it is towed, and depths that were seen with it. */
export function towedRig(view: RigView): TowedRig {
  const { record, current } = view;
  const towed = record.towed ?? USUAL_TOW;
  const speedMS = throughWater(towed, towed.speedMS);
  const mostM = Math.min(view.reach.outM, current.line.totalLengthM);
  // Line that stays on the spool tells nothing of the water.
  let leftM = mostM;
  const lines = current.line.segments.toReversed().flatMap((segment) => {
    const { id, name, material, diameterM, massKgPerM } = productOf(record, productIdNow(record, segment.id));
    const isSoft = MATERIAL[material].givesWay;
    const lengthM = Math.min(segment.lengthM, leftM);
    leftM -= lengthM;
    return lengthM > 1e-6 ? [{ key: id, name, lengthM, diameterM, isSoft, sinks: sinksBy(material, massKgPerM) }] : [];
  });
  const { lure, lurePullN, tipHeightM, bottomM, water, temperatureC } = towed;
  const belief: DepthBelief = {
    ...{ lines, lure, tipHeightM, bottomM },
    lurePull: lurePullN === null ? null : { dragN: lurePullN, speedMS },
    water: waterOf(water, temperatureC ?? WATER_TEMPERATURE_C.usual),
    speedShareSd: speedShareSd(towed, speedMS),
  };
  const marks = seenWith(view, towed, mostM);
  return {
    ...{ towed, isTold: record.towed !== null, belief, speedMS, marks, mostM },
    isCurrentOpen: towed.speedBy === 'over the ground' && towed.currentMS === null,
    isDiveOpen: diveIsOpen(belief) && marks.length < DIVES_SEEN,
    rangeM: workingRangeOf(record, mostM),
  };
}

/** Depths that were seen, with how much line was out then: by the counter, or as it was told. */
function seenWith(view: RigView, towed: TowedAs, mostM: number): readonly SeenDepth[] {
  const { record } = view;
  return marksThatTeach(record).flatMap((mark) => {
    const out =
      mark.lengthOutM === null ? lengthAt(view, mark.reading, mark.laps) : { lengthM: mark.lengthOutM, sdM: TOLD_SD_M };
    if (!out || out.lengthM > mostM || out.lengthM <= 0) return [];
    return [
      {
        ...{ id: mark.id, depthM: mark.depthM, depthSdM: seenSdM(mark.depthM) },
        ...{ lengthOutM: out.lengthM, lengthSdM: out.sdM, speedMS: throughWater(towed, mark.speedMS) },
      },
    ];
  });
}

/** A length that is told by colours or marks at the tip is good to so much (m; from memory). */
const TOLD_SD_M = 1;

function lengthAt(view: RigView, reading: number | null, laps: number | null) {
  const digits = view.record.reel.counter?.digits;
  if (reading === null || digits === undefined) return null;
  const counts = reading + (laps ?? 0) * 10 ** digits;
  const [found] = lengthsAtReadings(view, [counts]);
  if (!found) return null;
  const lengthM = found.lengthOutM + (view.record.hangM ?? 0);
  const paidOutM = Math.min(Math.max(lengthM - view.current.line.handLinedLengthM, 0), view.current.line.woundLengthM);
  const [shown] = correctionTable(view.ruler, [paidOutM]);
  const perCountM = counts > 0 ? paidOutM / counts : 0;
  return { lengthM, sdM: ((shown?.plusMinus ?? 0) / PLUS_MINUS_SDS) * perCountM };
}

/** Colours of weighted line that are out with a length out, parts of one included; null where the rig has none. */
export function coloursOut(view: RigView, lengthOutM: number): number | null {
  let fromM = 0;
  let colours = 0;
  let has = false;
  for (const segment of view.current.line.segments.toReversed()) {
    const product = productOf(view.record, productIdNow(view.record, segment.id));
    if (product.material === 'lead core') {
      has = true;
      const outM = Math.min(Math.max(lengthOutM - fromM, 0), segment.lengthM);
      colours += outM / (product.colourLengthM ?? COLOUR_LENGTH_M);
    }
    fromM += segment.lengthM;
  }
  return has ? colours : null;
}

/** The top shot of a rig with lead core: the line between it and the leader, by its place from the lure up; null where there is none. */
export function topShotOf(view: RigView) {
  const inwards = view.current.line.segments.toReversed();
  const productAt = (index: number) => {
    const segment = inwards[index];
    return segment && productOf(view.record, productIdNow(view.record, segment.id));
  };
  const lead = inwards.findIndex((_, index) => productAt(index)?.material === 'lead core');
  const [shot, product] = [inwards[lead - 1], productAt(lead)];
  if (!shot || !product) return null;
  const colourM = product.colourLengthM ?? COLOUR_LENGTH_M;
  return { place: lead - 1, name: shot.name, lengthM: shot.lengthM, colourM };
}
