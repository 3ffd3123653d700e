import { type LineToFit } from '../../core/gear/gearEvidence';
import { ratedAreaM2, type CapacityRating } from '../../core/gear/reelShape';
import { ERRORS } from '../../core/measurement/errors';
import { LINE_ERRORS, labelDiameterRelativeSd } from '../../core/measurement/lineErrors';
import { MATERIAL, type Material } from '../../core/materials/materials';
import { bulkRelativeSd, type SegmentToPlan } from '../../core/load/planLoad';
import type { Known } from '../../core/provenance/source';
import { normalDeviate, seededRandom, type Random } from '../../instruments/random';
import type { ReelTruth, WoundLine } from '../../instruments/virtual/layReel';

/** One line of a drawn reel: what its label and this product believe of it, and what it really is. */
export interface DrawnLine {
  readonly id: string;
  readonly material: Material;
  readonly lineDiameterM: Known;
  readonly packing: Known;
  readonly truth: { readonly lineDiameterM: number; readonly packing: number };
}

export interface DrawnReel {
  readonly random: Random;
  readonly truth: ReelTruth;
  readonly ratings: readonly CapacityRating[];
  readonly caliper: { readonly arborDiameterM: Known; readonly widthM: Known; readonly fullDiameterM: Known };
  readonly counter: Known;
  readonly lines: readonly DrawnLine[];
  /** Lengths of the stack (m); the first one is solved. */
  readonly knownLengthsM: readonly [number, number];
}

/**
 * A reel with scatter as the product assumes it, times a factor: proportions, ratings, caliper readings, counter
 * constant, and for three lines thickness and packing. Not in the product's model, but here: uneven turns, a
 * crown, and line that goes on stretched.
 */
export function drawReel(seed: number, scatter: number): DrawnReel {
  const random = seededRandom(seed);
  const normal = (): number => scatter * normalDeviate(random);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const fullM = between(0.045, 0.085);
  const arborDiameterM = Math.min(0.52 * Math.exp(0.14 * normal()), 0.75) * fullM;
  const widthM = 0.48 * Math.exp(0.2 * normal()) * fullM;
  const volumeM3 = (Math.PI / 4) * widthM * (fullM ** 2 - arborDiameterM ** 2);
  const habit = Math.exp(ERRORS.ratingHabitShare.sd * normal());
  const ratings = [0.00035, 0.0004, 0.00045].slice(0, 1 + Math.floor(3 * random())).map((lineDiameterM) => ({
    label: `${lineDiameterM}`,
    lineDiameterM,
    lengthM: (volumeM3 / ratedAreaM2(lineDiameterM)) * habit * Math.exp(ERRORS.ratingShare.sd * normal()),
  }));
  const caliper = (value: number): Known => ({
    value: value + ERRORS.caliperM.sd * normal(),
    sd: ERRORS.caliperM.sd,
    source: 'measured',
  });
  const lengthPerTurnM = Math.PI * fullM * 0.92 * Math.exp(0.04 * normal());
  const line = (id: string, material: Material, diameterM: number): DrawnLine => {
    const relativeSd =
      material === 'braid' || material === 'hollow braid'
        ? ERRORS.wrappedDiameterShare.sd
        : labelDiameterRelativeSd(material);
    const packing = MATERIAL[material].packing;
    return {
      id,
      material,
      lineDiameterM: { value: diameterM, sd: relativeSd * diameterM, source: 'label' },
      packing,
      truth: {
        lineDiameterM: diameterM * Math.exp(relativeSd * normal()),
        packing: packing.value * Math.exp((packing.sd / packing.value) * normal()),
      },
    };
  };
  const thick: Material = random() < 0.5 ? 'lead core' : 'copper wire';
  const upper: Material = random() < 0.5 ? 'nylon' : 'braid';
  const lines = [
    line('backing', 'nylon', between(0.00035, 0.0005)),
    line('thick', thick, between(0.0006, 0.0009)),
    line('top', upper, upper === 'nylon' ? between(0.0003, 0.0004) : between(0.00018, 0.00028)),
  ];
  const lengthFor = (index: number, share: number): number => {
    const { lineDiameterM, packing } = lines[index] ?? { lineDiameterM: { value: NaN }, packing: { value: NaN } };
    return (share * volumeM3 * packing.value) / ((Math.PI / 4) * lineDiameterM.value ** 2);
  };
  return {
    random,
    ratings,
    caliper: {
      arborDiameterM: caliper(arborDiameterM),
      widthM: caliper(widthM),
      fullDiameterM: caliper(fullM),
    },
    counter: { value: lengthPerTurnM * Math.exp(-0.04 * normal()), sd: 0.04 * lengthPerTurnM, source: 'maker' },
    lines,
    knownLengthsM: [lengthFor(1, between(0.15, 0.35)), lengthFor(2, between(0.1, 0.25))],
    truth: {
      arborDiameterM,
      widthM,
      rimDiameterM: fullM,
      lengthPerTurnM,
      unitM: 0.3048,
      digits: 3,
      rounds: true,
      pitchM: widthM / 25,
      pitchRelativeSd: 0.03,
      crown: 0.02,
      packingRelativeSd: 0.03,
      seed,
    },
  };
}

/** A line as it really goes on, its packing a little different from one load to the next, and stretched otherwise. */
export function asItLies(
  { material, truth }: DrawnLine,
  lengthM: number,
  { repeat, pull }: { readonly repeat: number; readonly pull: number },
): WoundLine {
  const { value, sd } = LINE_ERRORS[material].windingStrain;
  const strain = Math.max(0, value + sd * pull);
  return { lengthM, lineDiameterM: truth.lineDiameterM, packing: truth.packing * repeat, strain };
}

/** How a load goes on: its packing against other loads, and how hard its line is pulled, in SDs of its materials. */
export function drawLoad(random: Random, scatter: number): { readonly repeat: number; readonly pull: number } {
  return {
    repeat: 1 + scatter * ERRORS.packingRepeatShare.sd * normalDeviate(random),
    pull: scatter * normalDeviate(random),
  };
}

export function lineToFit(line: DrawnLine): LineToFit {
  const areaM2 = ((Math.PI / 4) * line.lineDiameterM.value ** 2) / line.packing.value;
  return {
    id: line.id,
    name: line.id,
    areaM2,
    relativeSd: bulkRelativeSd(line),
    windingStrain: LINE_ERRORS[line.material].windingStrain,
  };
}

/** The stack with its first length unknown; a factor on each line's space as it was learned. */
export function stackOf(reel: DrawnReel, factors: readonly number[]): readonly SegmentToPlan[] {
  return reel.lines.map((line, index) => {
    const lengthM = index === 0 ? null : (reel.knownLengthsM[index - 1] ?? NaN);
    return {
      id: line.id,
      name: line.id,
      lineId: line.id,
      wound: true,
      lineDiameterM: line.lineDiameterM,
      packing: { ...line.packing, value: line.packing.value / (factors[index] ?? 1) },
      lengthM: lengthM === null ? null : { value: lengthM, sd: 0.003 * lengthM, source: 'measured' },
    };
  });
}
