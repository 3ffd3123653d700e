/** Reasons about what fits on a spool, what it is known by, and how it is filled. */
export const SPOOL_REASONS = {
  /** `last` is the last of the segments that have a length, or empty: it would fit with so much less of it. */
  'does-not-fit': {
    takenVolumeM3: 'volume',
    availableVolumeM3: 'volume',
    solved: 'name',
    last: 'name',
    excessLastLengthM: 'length',
    lastLengthM: 'length',
  },
  'no-sign-change': { atLow: 'number', atHigh: 'number' },
  'below-the-arbor': { depthM: 'small' },
  'no-counter': {},
  'roller-driven': {},
  'range-longer-than-line': { toM: 'length' },
  'reads-high-above-the-rim': {},
  'reads-low-with-the-least-line': {},
  'no-arbor': { value: 'small' },
  'rating-unreadable': {},
  'rating-length-unreadable': { typed: 'name', because: 'reason' },
  'rating-thickness-unreadable': { typed: 'name' },
  'not-enough': { missingM: 'length' },
  'no-segments': {},
  'nothing-left': {},
  'nothing-on-the-spool': {},
} as const;
