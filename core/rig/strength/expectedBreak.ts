import type { Known } from '../../provenance/source';
import { because, type Reason } from '../../reasons';
import { commonNylonRatio, labelPattern, predictedBreak, type LabelPattern } from '../../strength/labelPattern';
import type { LineProductRecord } from '../../record/record';
import { productStrength, PULLS_FOR_A_MEAN, type StrengthEvidence } from './strengthOfRig';

/** What a line is expected to break at, before a pull, and why. */
export interface ExpectedBreak {
  readonly valueN: Known;
  readonly why: Reason;
}

/** Relative SD of the common pattern of nylon labels for one product (from memory). */
const COMMON_RELATIVE_SD = 0.12;
const LABEL_RELATIVE_SD = 0.2;

/** The tested sizes of a family and their pattern; null below two sizes or without a family's name. */
export function familyPattern(record: StrengthEvidence, family: string): LabelPattern | null {
  if (family === '') return null;
  const sizes = record.products.flatMap((product) => {
    const { summary } = productStrength(record, product.id);
    const labelN = product.labelStrengthN;
    const isOfIt = product.family === family && labelN !== null && summary !== null;
    return isOfIt ? [{ labelN, meanN: summary.meanN, n: summary.n }] : [];
  });
  const pattern = labelPattern(sizes);
  return pattern.ok ? pattern.value : null;
}

/**
 * What a line should break at: its own earlier pulls, else the pattern of its family, else what plain nylon of that
 * label commonly holds, else the label.
 *
 * @returns null with neither pulls nor a label
 */
export function expectedBreak(record: StrengthEvidence, product: LineProductRecord): ExpectedBreak | null {
  const { summary, strengthN } = productStrength(record, product.id);
  if (summary && summary.n >= PULLS_FOR_A_MEAN && strengthN) {
    return { valueN: strengthN, why: because('expected-own-pulls', { n: summary.n }) };
  }
  const labelN = product.labelStrengthN;
  if (labelN === null) return null;
  const pattern = familyPattern(record, product.family);
  if (pattern) {
    const { value, sd } = predictedBreak(pattern, labelN);
    return {
      valueN: { value, sd, source: 'learned' },
      why: because('expected-pattern', { sizes: pattern.sizes.length, family: product.family }),
    };
  }
  if (product.material === 'nylon') {
    const value = commonNylonRatio(labelN) * labelN;
    return {
      valueN: { value, sd: COMMON_RELATIVE_SD * value, source: 'default' },
      why: because('expected-common-nylon'),
    };
  }
  return { valueN: { value: labelN, sd: LABEL_RELATIVE_SD * labelN, source: 'label' }, why: because('expected-label') };
}
