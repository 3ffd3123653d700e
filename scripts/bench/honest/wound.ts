import { drawOutfit, FOOT_M, layLoad, type Laid, type Outfit, type World } from './world';

export const WALKS_M = [60, 100, 150].map((feet) => feet * FOOT_M);
export const WALK_M = 100 * FOOT_M;

/** Lengths that fill an outfit's spool to about nine tenths, by what its lines really take. */
export function fillOf({ truth, lines, flange }: Outfit): readonly number[] {
  const volumeM3 = (Math.PI / 4) * truth.widthM * (1 - flange) * (truth.rimDiameterM ** 2 - truth.arborDiameterM ** 2);
  const shares = lines.length === 1 ? [0.9] : [0.45, 0.25, 0.2];
  return lines.map((line, i) => ((shares[i] ?? 0) * volumeM3 * line.packing) / ((Math.PI / 4) * line.trueM ** 2));
}

export interface Wound {
  readonly outfit: Outfit;
  readonly laid: Laid;
  readonly meantM: readonly number[];
}

export function woundOutfit(world: World, seed: number, isPlain: boolean): Wound | null {
  const outfit = drawOutfit(world, seed, isPlain);
  const meantM = fillOf(outfit);
  // The innermost line is stopped by hand, about where it was meant to.
  const lengthsM = meantM.map((lengthM, index) =>
    index === 0 ? lengthM * (1 + 0.05 * (outfit.random() - 0.5)) : lengthM,
  );
  const laid = layLoad(outfit, lengthsM, seed);
  return lengthsM.reduce((sum, each) => sum + each, 0) > 1.2 * (WALKS_M.at(-1) ?? 0) ? { outfit, laid, meantM } : null;
}

export function stationsOf(laid: Laid): readonly number[] {
  const totalM = laid.lengthsM.reduce((sum, each) => sum + each, 0);
  return [0.1, 0.2, 0.35, 0.5, 0.7, 0.9].map((share) => Math.max(WALKS_M[0] ?? 0, share * totalM));
}
