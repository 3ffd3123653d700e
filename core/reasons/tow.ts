/** Reasons about line that is towed: where its bait swims. */
export const TOW_REASONS = {
  'goal-too-deep': { mostM: 'length' },
  'goal-too-near': { shortByM: 'length' },
  'goal-floats': { atM: 'length' },
  'goal-slack': {},
  'top-shot-too-long': { mostM: 'length' },
  'line-too-short': { lengthM: 'length', depthM: 'length', setbackM: 'length' },
} as const;
