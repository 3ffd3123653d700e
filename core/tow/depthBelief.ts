import type { Known } from '../provenance/source';
import { because, type Reason } from '../reasons';
import { USUAL_DRAG } from './lineDrag';
import { LURES, type LureKind } from './lures';
import { AIR, type Medium } from './medium';
import { weightOf, type SinksBy } from './sinking';
import type { Tow } from './towStack';

/** A piece of the rig's line, as far as it is known. */
export interface BelievedLine {
  /** Pieces of one line are thick and heavy together. */
  readonly key: string;
  readonly name: string;
  readonly lengthM: number;
  readonly diameterM: Known;
  /** Gives way under the jaws of a caliper: it is wrapped. */
  readonly isSoft: boolean;
  readonly sinks: SinksBy;
}

/** A rig as it is towed: what is taken for true of it, and how well. */
export interface DepthBelief {
  /** From the lure up, all of the line. */
  readonly lines: readonly BelievedLine[];
  readonly lure: LureKind;
  /** What the water holds back of the lure (N) at a speed (m/s), where somebody pulled a scale; null: a guess by its kind. */
  readonly lurePull: { readonly dragN: number; readonly speedMS: number } | null;
  readonly water: Medium;
  readonly tipHeightM: number;
  readonly bottomM: number | null;
  /** Share by which the speed through the water is off at one SD: of what measures it. */
  readonly speedShareSd: number;
}

/** Something that a depth hangs on and nobody knows exactly: so many of its SDs are an unknown. */
export interface DepthUnknown {
  readonly from: Reason;
}

/**
 * The drag across a line against the law by the Reynolds number: hum (1.0 to 1.1 below Re 47, 1.2 to 1.6 above), and how far cylinders
 * of a handbook lie off that law, up to a third (from memory). One factor for all of a rig's line, as a logarithm.
 */
const DRAG_FACTOR = { ln: Math.log(1.1), sd: 0.2 } as const;
/** SD of the logarithm of a lure's pull where a scale has shown it. */
export const PULLED_LN_SD = 0.12;

/** What is open of a depth: the drag across the line, the lure, the speed, then each line's weight and each one's thickness. */
export function depthUnknowns({ lines }: DepthBelief): readonly DepthUnknown[] {
  const each = linesOnce(lines);
  return [
    { from: because('error-line-drag') },
    { from: because('error-lure-pull') },
    { from: because('error-speed') },
    ...each.map(({ name }) => ({ from: because('error-sinking', { of: name }) })),
    ...each.map(({ name }) => ({ from: because('error-thickness', { of: name }) })),
  ];
}

export const linesOnce = (lines: readonly BelievedLine[]): readonly BelievedLine[] =>
  lines.filter((line, index) => lines.findIndex(({ key }) => key === line.key) === index);

/** Where the lure's pull stands among the unknowns. */
export const LURE_UNKNOWN = 1;

/** SD of the logarithm of the lure's pull: by its kind, or as a scale has shown it. */
export const pullLnSd = ({ lure, lurePull }: Pick<DepthBelief, 'lure' | 'lurePull'>): number =>
  lurePull === null ? LURES[lure].lnSd : PULLED_LN_SD;

/** True where the lure's dive is not known before it is learned. */
export const diveIsOpen = ({ lure }: Pick<DepthBelief, 'lure'>): boolean => LURES[lure].diveAreaM2 === null;
/** What a board's dive is taken to be before its marks are looked at, against its drag; they move it where they will. */
const OPEN_DIVE = { perDrag: 0.8, lnSd: 1 } as const;

/**
 * The rig at a speed, with its unknowns so many SDs off.
 *
 * @param unknowns in the order of {@link depthUnknowns}; left out: as believed
 * @param readMS speed as it is read (m/s); the unknown of the speed moves it
 */
export function towOf(belief: DepthBelief, readMS: number, unknowns: readonly number[] = []): Tow {
  const { lines, lure, lurePull, water, tipHeightM, bottomM, speedShareSd } = belief;
  const [drag = 0, pull = 0, speed = 0] = unknowns;
  const once = linesOnce(lines);
  const speedMS = readMS * Math.max(1 + speedShareSd * speed, 0.05);
  const of = LURES[lure];
  const pressurePa = 0.5 * water.densityKgM3 * speedMS ** 2;
  const pulledM2 = lurePull && lurePull.dragN / (0.5 * water.densityKgM3 * lurePull.speedMS ** 2);
  const lnSd = pullLnSd(belief);
  const dragAreaM2 = (pulledM2 ?? of.dragAreaM2) * Math.exp(lnSd * pull);
  const diveAreaM2 =
    of.diveAreaM2 === null
      ? OPEN_DIVE.perDrag * (pulledM2 ?? of.dragAreaM2) * Math.exp(OPEN_DIVE.lnSd * pull)
      : (of.diveAreaM2 / of.dragAreaM2) * dragAreaM2;
  return {
    speedMS,
    water,
    air: AIR,
    by: { law: 'reynolds', ...USUAL_DRAG, humFactor: Math.exp(DRAG_FACTOR.ln + DRAG_FACTOR.sd * drag) },
    // A lure that is hardly held back at all still hangs in its line.
    lure: { dragN: Math.max(pressurePa * dragAreaM2, 1e-4), downN: of.weightN + pressurePa * diveAreaM2 },
    pieces: lines.map(({ key, lengthM, diameterM, sinks }) => {
      const place = once.findIndex((each) => each.key === key);
      const heavier = unknowns[3 + place] ?? 0;
      const thicker = unknowns[3 + once.length + place] ?? 0;
      const thicknessM = Math.max(diameterM.value + thicker * diameterM.sd, 0.2 * diameterM.value);
      return { lengthM, diameterM: thicknessM, ...weightOf(sinks, thicknessM, water.densityKgM3, heavier) };
    }),
    loads: [],
    tipHeightM,
    bottomM,
  };
}
