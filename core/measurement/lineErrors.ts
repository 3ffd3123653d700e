import type { Material } from './material';

/** What is not known of a line by its material alone, as relative SDs of the figure. */
export interface LineErrors {
  /**
   * The diameter on a label: a mixture of makers who measure and makers who do not, each part with its share of labels and its SD.
   */
  readonly label: readonly { readonly share: number; readonly sd: number }[];
  /** Packing between one person's loads and another's. */
  readonly packing: number;
  /** Stretch as hands or a winder put it on, as a share of its relaxed length; another one with each load. */
  readonly windingStrain: { readonly value: number; readonly sd: number };
}

const one = (sd: number) => [{ share: 1, sd }];
/** Nylon labels: most within 5 %, one in five of a maker who is off by twice that (from memory). Fluorocarbon is labelled alike. */
const MONOFILAMENT = [
  { share: 0.8, sd: 0.05 },
  { share: 0.2, sd: 0.1 },
];
/** Nylon stretches by 2 % at 10 N, braid by 0.3 %, metal by 0.1 % (from memory). */
const SOFT = { value: 0.02, sd: 0.012 };
const STIFF = { value: 0.003, sd: 0.0015 };
const METAL = { value: 0.001, sd: 0.0005 };

/** Braid labels are off by 10 to 20 %, wire is drawn to size (from memory). */
export const LINE_ERRORS: Readonly<Record<Material, LineErrors>> = {
  nylon: { label: MONOFILAMENT, packing: 0.051, windingStrain: SOFT },
  fluorocarbon: { label: MONOFILAMENT, packing: 0.052, windingStrain: SOFT },
  braid: { label: one(0.12), packing: 0.077, windingStrain: STIFF },
  'hollow braid': { label: one(0.1), packing: 0.076, windingStrain: STIFF },
  'lead core': { label: one(0.05), packing: 0.071, windingStrain: STIFF },
  'copper wire': { label: one(0.015), packing: 0.073, windingStrain: METAL },
  'stainless wire': { label: one(0.015), packing: 0.074, windingStrain: METAL },
  'fly line': { label: one(0.05), packing: 0.075, windingStrain: STIFF },
};

/** A line whose material nobody has named: stretched by nothing as likely as by what nylon is at most. */
export const ANY_LINE = { label: 0.063, windingStrain: { value: 0, sd: 0.015 } } as const;

/**
 * Correlation of what two labels of one material are off by: an outfit buys of few makers, and a maker is off alike on all of his lines
 * (from memory).
 */
export const LABELS_ALIKE = 0.5;

/** A line that is known by its label only: of what material, and the relative SD that this leaves open of the figure asked for. */
export interface LabelledLine {
  readonly material: string;
  readonly relativeSd: number;
}

/** Covariance that two lines have beforehand because both are known by their labels. */
export function labelCovariance(a: LabelledLine | undefined, b: LabelledLine | undefined): number {
  return a && b && a.material === b.material ? LABELS_ALIKE * a.relativeSd * b.relativeSd : 0;
}

/** Relative SD of a labelled diameter of a material: of all its makers together. */
export function labelDiameterRelativeSd(material: Material): number {
  return Math.sqrt(LINE_ERRORS[material].label.reduce((sum, { share, sd }) => sum + share * sd ** 2, 0));
}
