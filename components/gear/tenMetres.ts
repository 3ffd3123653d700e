import { LIMITS } from '@/usecases/limits';

/** Ten metres are weighed: of one a kitchen scale shows nothing. */
export const GRAMS_PER_KG_M = 10_000;
export const TEN_METRES_GRAMS = {
  min: GRAMS_PER_KG_M * LIMITS.massKgPerM.min,
  max: GRAMS_PER_KG_M * LIMITS.massKgPerM.max,
};
