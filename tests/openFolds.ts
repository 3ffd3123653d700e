/** Folds that a person has open whose work the tests follow: they are on record of the device, as when opened by hand. */
export const OPEN_FOLDS = {
  key: 'folds 1',
  kept: JSON.stringify({
    all: false,
    byHand: Object.fromEntries(
      [
        ...['test', 'make-true', 'rests-on', 'zero', 'line-marks', 'table', 'pull', 'lines', 'reach', 'places'],
        ...['target', 'as-set', 'lever', 'change-target', 'left-alone', 'pulls-of-it', 'ready-leaders', 'segments'],
        ...['top-shot-care', 'line-gone', 'changes', 'tie', 'lengths', 'log', 'depth-lens', 'run-sheet', 'stack'],
        ...['ashore', 'new-locker', 'reel-form', 'line-form', 'supply-form', 'fill'],
      ].map((id) => [id, true]),
    ),
  }),
} as const;
