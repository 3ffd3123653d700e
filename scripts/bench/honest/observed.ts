import { estimateCounter, type CounterEstimate } from '../../../core/calibration/estimateCounter';
import type { CounterObservation, LengthObservation } from '../../../core/calibration/observations';
import type { LineToFit, LoadToFit, ReelToFit } from '../../../core/gear/gearEvidence';
import { gearFit } from '../../../core/gear/gearFit';
import { learnedReel, type LearnedReel } from '../../../core/gear/learned';
import { ERRORS } from '../../../core/measurement/errors';
import { labelDiameterRelativeSd, LINE_ERRORS } from '../../../core/measurement/lineErrors';
import { MATERIAL } from '../../../core/materials/materials';
import { bulkRelativeSd, labelOf } from '../../../core/load/planLoad';
import type { Known } from '../../../core/provenance/source';
import { normalDeviate } from '../../../instruments/random';
import { FOOT_M, shown, type Laid, type Outfit, type OutfitLine } from './world';

export const materialOf = (line: OutfitLine) => (line.isNylon ? 'nylon' : 'copper wire');

/** A line as the product believes it by its label. */
export function believedLine(line: OutfitLine): { readonly lineDiameterM: Known; readonly packing: Known } {
  const sd = labelDiameterRelativeSd(materialOf(line)) * line.labelM;
  return { lineDiameterM: { value: line.labelM, sd, source: 'label' }, packing: MATERIAL[materialOf(line)].packing };
}

export const strainOf = (line: OutfitLine) => LINE_ERRORS[materialOf(line)].windingStrain;

export function reelToFit(outfit: Outfit, isRated = false): ReelToFit {
  const { caliperM, statedM, truth } = outfit;
  const [arborM, widthM, rimM] = caliperM;
  const measured = (value: number): Known => ({ value, sd: ERRORS.caliperM.sd, source: 'measured' });
  return {
    ...{ id: 'reel', ratings: isRated ? outfit.ratings : [] },
    arborDiameterM: measured(arborM),
    widthM: measured(widthM),
    fullDiameterM: measured(rimM),
    counter: {
      ...{ unitM: truth.unitM, display: 'rounds' },
      lengthPerTurnM: { value: statedM, sd: ERRORS.statedConstantShare.sd * statedM, source: 'maker' },
    },
  };
}

export function linesToFit({ lines }: Outfit): readonly LineToFit[] {
  return lines.map((line) => {
    const { lineDiameterM, packing } = believedLine(line);
    const areaM2 = ((Math.PI / 4) * lineDiameterM.value ** 2) / packing.value;
    const relativeSd = bulkRelativeSd({ lineDiameterM, packing });
    const label = labelOf({ lineDiameterM, labelOf: materialOf(line) });
    return { id: line.id, name: line.id, areaM2, relativeSd, windingStrain: strainOf(line), label };
  });
}

/** What a person notes of a load while winding it, and walks afterwards. */
export interface Noted {
  /** Lengths as they were measured (m); null where the counter alone said when to stop. */
  readonly lengthsM: readonly (number | null)[];
  readonly counts: readonly number[];
  readonly levelBelowRimM: number;
  readonly walks: readonly LengthObservation[];
}

export interface WhatIsNoted {
  /** True lengths at which the counter is walked (m). */
  readonly walksM: readonly number[];
  /** The innermost line was stopped by the counter: its length is not known. */
  readonly stopped: boolean;
  /** How far one of the walks was off (m), by its place. */
  readonly late?: { readonly walk: number; readonly byM: number };
}

export function note(outfit: Outfit, laid: Laid, { walksM, stopped, late }: WhatIsNoted): Noted {
  const { random, tapeShare, truth } = outfit;
  const goneSinceM = outfit.lines.map(() => 0);
  return {
    lengthsM: laid.lengthsM.map((lengthM, index) =>
      stopped && index === 0 ? null : lengthM * (1 + 0.003 * normalDeviate(random)),
    ),
    counts: laid.countsOn.map((counts) => Math.round(counts + 0.5 * normalDeviate(random))),
    levelBelowRimM: (truth.rimDiameterM - laid.reel.meanDiameterM) / 2 + 0.0003 * normalDeviate(random),
    walks: walksM.map((trueLengthM, index): LengthObservation => {
      const walkedM =
        trueLengthM * (1 + tapeShare) + 0.0508 * normalDeviate(random) + (late?.walk === index ? late.byM : 0);
      const reading = Math.max(1, shown(outfit, laid.counts(walkedM)));
      return { kind: 'tape', name: `walk ${index + 1}`, trueLengthM, lengthSdM: ERRORS.walkM.sd, reading, goneSinceM };
    }),
  };
}

export function loadToFit(outfit: Outfit, noted: Noted, loadId: string): LoadToFit {
  return {
    ...{ reelId: 'reel', loadId, name: loadId, evenTension: true, levelSdM: ERRORS.levelM.sd },
    segments: outfit.lines.map((line, index) => ({
      name: line.id,
      lineId: line.id,
      lengthM: noted.lengthsM[index] ?? null,
      counts: noted.counts[index] ?? null,
      turns: null,
    })),
    levels: [{ afterSegment: outfit.lines.length - 1, levelBelowRimM: noted.levelBelowRimM }],
    trials: noted.walks.map((observation, index) => ({
      observation,
      source: { kind: 'trial', id: `${loadId} ${index}` },
    })),
  };
}

export function learnedFrom(outfit: Outfit, loads: readonly LoadToFit[], isRated = false): LearnedReel {
  return learnedReel(gearFit([reelToFit(outfit, isRated)], linesToFit(outfit), loads), 'reel', 'learned');
}

/** The load that is on, by everything that was noted of it and nothing else but labels and caliper; lengths as they were meant. */
export function estimateOf(
  outfit: Outfit,
  noted: Noted,
  meantM: readonly number[],
  use: { readonly level: boolean; readonly log: boolean; readonly rated?: boolean; readonly strippedM?: number },
): CounterEstimate {
  const learned = learnedFrom(outfit, [], use.rated);
  const { strippedM = 0 } = use;
  const top = outfit.lines.length - 1;
  const goneSinceM = outfit.lines.map((_, index) => (index === top ? strippedM : 0));
  const observations: readonly CounterObservation[] = [
    ...(use.level
      ? [
          {
            ...{ kind: 'level' as const, name: 'level', afterSegment: outfit.lines.length - 1 },
            ...{ levelBelowRimM: noted.levelBelowRimM, levelSdM: ERRORS.levelM.sd, goneSinceM },
          },
        ]
      : []),
    ...(use.log
      ? noted.counts.map((reading, segment) => ({
          ...{ kind: 'wound' as const, name: `log ${segment + 1}`, segment, fromShare: 0, toShare: 1 },
          ...{ reading, goneSinceM },
        }))
      : []),
    ...noted.walks,
  ];
  return estimateCounter(
    {
      ...learned,
      constantM: learned.lengthPerTurnM ?? { value: NaN, sd: NaN, source: 'maker' },
      counter: { unitM: FOOT_M, display: 'rounds' },
      segments: outfit.lines.map((line, index) => {
        const { lineDiameterM, packing } = believedLine(line);
        const known = noted.lengthsM[index] ?? null;
        return {
          ...{ id: line.id, name: line.id, lineId: line.id, wound: true },
          lengthM: (known ?? meantM[index] ?? NaN) - (index === top ? strippedM : 0),
          lineDiameterM: lineDiameterM.value,
          packing: packing.value / (learned.lineFactors[line.id] ?? 1),
          areaRelativeSd: bulkRelativeSd({ lineDiameterM, packing }),
          lengthRelativeSd: known === null ? ERRORS.plannedLengthShare.sd : ERRORS.lengthShare.sd,
          windingStrain: strainOf(line),
        };
      }),
    },
    observations,
  );
}
