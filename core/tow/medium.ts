import { requirePositive } from '../result';

/** What line runs through: water, or air. */
export interface Medium {
  readonly densityKgM3: number;
  readonly kinematicViscosityM2S: number;
}

export const WATERS = ['fresh', 'salt'] as const;
export type Water = (typeof WATERS)[number];

/** Air near 15 °C: the density that handbooks give as 1.2, and its kinematic viscosity. */
export const AIR: Medium = { densityKgM3: 1.2, kinematicViscosityM2S: 1.5e-5 };

/** Sea water of salinity 35 against fresh water of the same warmth: heavier, and thicker (ITTC 7.5-02-01-03, tables at 15 °C). */
const SALT = { density: 1026.021 / 999.1026, viscosity: 1.1892e-6 / 1.1386e-6 } as const;

/** Temperatures between which water is liquid enough to fish in (°C). */
export const WATER_TEMPERATURE_C = { least: -2, most: 40, usual: 12 } as const;

/**
 * Water of a temperature. Fresh: density by Kell's short formula (1975, from memory), viscosity by Vogel's (from memory, within 2.5 % of
 * tables up to 370 °C); salt: salinity 35, by its ratio to fresh at 15 °C.
 *
 * @param temperatureC of the water (°C), −2 to 40
 * @throws RangeError outside of it
 */
export function waterOf(water: Water, temperatureC: number): Medium {
  const { least, most } = WATER_TEMPERATURE_C;
  if (!(temperatureC >= least && temperatureC <= most)) {
    throw new RangeError(`waterOf: ${temperatureC} °C is no temperature of water that is fished`);
  }
  const densityKgM3 =
    1000 * (1 - ((temperatureC + 288.9414) / (508929.2 * (temperatureC + 68.12963))) * (temperatureC - 3.9863) ** 2);
  const viscosityPaS = 2.414e-5 * 10 ** (247.8 / (temperatureC + 273.15 - 140));
  const fresh = { densityKgM3, kinematicViscosityM2S: viscosityPaS / densityKgM3 };
  requirePositive('waterOf', fresh);
  if (water === 'fresh') return fresh;
  return {
    densityKgM3: fresh.densityKgM3 * SALT.density,
    kinematicViscosityM2S: fresh.kinematicViscosityM2S * SALT.viscosity,
  };
}
