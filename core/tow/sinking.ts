import { MATERIAL, type Material } from '../materials/materials';
import type { Known } from '../provenance/source';
import { toSi } from '../units/units';

const GRAVITY_MS2 = toSi('force', 1, 'kg');

/** What tells how a line sinks: a metre of it on a scale, dry, or the density of its material. */
export type SinksBy =
  | { readonly by: 'density'; readonly densityKgM3: Known; readonly solidKgM3: number | null }
  | { readonly by: 'weighed'; readonly massKgPerM: Known; readonly solidKgM3: number };

/** SD of a weighed length of line, as a share (kitchen scale and tape; common practice, no source). */
const WEIGHED_SHARE_SD = 0.03;

/**
 * How a line sinks, as far as it is known: a weighed metre speaks for line of metal; plastic floats or sinks by so little that its density
 * tells it better than a scale.
 *
 * @param massKgPerM of a metre, dry, weighed (kg/m); null where nobody has
 */
export function sinksBy(material: Material, massKgPerM: number | null): SinksBy {
  const { densityKgM3, solidKgM3 } = MATERIAL[material];
  if (massKgPerM === null || solidKgM3 === null) return { by: 'density', densityKgM3, solidKgM3 };
  const sd = WEIGHED_SHARE_SD * massKgPerM;
  return { by: 'weighed', massKgPerM: { value: massKgPerM, sd, source: 'measured' }, solidKgM3 };
}

/**
 * What a metre's weight in water would be off by (N/m, SD) once ten metres of it have been weighed; null where that tells nothing, or was
 * done.
 */
export function weighedSdNPerM(sinks: SinksBy, diameterM: number, waterKgM3: number): number | null {
  if (sinks.by === 'weighed' || sinks.solidKgM3 === null) return null;
  return WEIGHED_SHARE_SD * Math.abs(weightOf(sinks, diameterM, waterKgM3).submergedWeightNPerM);
}

/**
 * Weight of a metre under water and in air, wet.
 *
 * @param diameterM its thickness (m)
 * @param sds by how many SDs its density or its weight is other than believed
 * @returns weights (N/m); under 0 in water where it floats
 */
export function weightOf(sinks: SinksBy, diameterM: number, waterKgM3: number, sds = 0) {
  const areaM2 = (Math.PI * diameterM ** 2) / 4;
  const heavier =
    sinks.by === 'density'
      ? (sinks.densityKgM3.value + sds * sinks.densityKgM3.sd - waterKgM3) * areaM2
      : (sinks.massKgPerM.value + sds * sinks.massKgPerM.sd) * (1 - waterKgM3 / sinks.solidKgM3);
  const submergedWeightNPerM = GRAVITY_MS2 * heavier;
  // Line comes out of the water with its hollows full.
  const dryWeightNPerM = Math.max(submergedWeightNPerM + GRAVITY_MS2 * waterKgM3 * areaM2, 0);
  return { submergedWeightNPerM, dryWeightNPerM };
}
