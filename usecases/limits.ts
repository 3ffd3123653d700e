/**
 * Limits that catch a wrong unit or a slipped digit at every boundary: form, request and file. Wide
 * enough for any reel that is fished with; the database's own checks repeat them. All SI.
 */
export const LIMITS = {
  arborDiameterM: { min: 0.003, max: 0.4 },
  widthM: { min: 0.002, max: 0.4 },
  fullDiameterM: { min: 0.005, max: 0.6 },
  lineDiameterM: { min: 0.00003, max: 0.006 },
  segmentLengthM: { min: 0.05, max: 5000 },
  supplyLengthM: { min: 1, max: 20_000 },
  walkLengthM: { min: 1, max: 2000 },
  lengthPerTurnM: { min: 0.005, max: 2 },
  forceN: { min: 0.05, max: 5000 },
  gaugeLengthM: { min: 0.02, max: 50 },
  colourLengthM: { min: 0.5, max: 100 },
  gearRatio: { min: 0.5, max: 12 },
  windingTensionN: { min: 0.1, max: 500 },
  smallestOpeningM: { min: 0.0005, max: 0.1 },
  perKnotM: { min: 0.05, max: 10 },
  soonGoneM: { min: 0, max: 100 },
  lengthOutM: { min: 0.1, max: 5000 },
  depthM: { min: 0.1, max: 1000 },
  towSpeedMS: { min: 0.1, max: 10 },
  tipHeightM: { min: 0, max: 20 },
  massKgPerM: { min: 0.00001, max: 0.5 },
  levelBelowRimM: { min: -0.02, max: 0.2 },
} as const;
