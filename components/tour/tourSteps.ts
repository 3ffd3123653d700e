/** One stop of the tour: a page of a rig, what to look at there, and what it is for. */
export interface TourStep {
  /** After the rig's own address. */
  readonly path: string;
  /** What is outlined there. */
  readonly target: string;
  readonly title: string;
  readonly says: string;
}

/** The stations of a rig in the order of the work. */
export const TOUR_STEPS: readonly TourStep[] = [
  {
    path: '',
    target: 'section[aria-label="The line"]',
    title: 'The line',
    says: 'Hook on the left, arbor on the right, all to scale. Point at it: every figure on the page is of that place.',
  },
  {
    path: '/load',
    target: '#main section',
    title: 'Load',
    says: 'Leave one length open, usually the backing. It is worked out so that the level ends where you want it.',
  },
  {
    path: '/joins',
    target: '#main section',
    title: 'Joins',
    says: 'Every join in the order of tying: how it stands, when it is due, how it is tied step by step.',
  },
  {
    path: '/count',
    target: '#main section',
    title: 'Count',
    says: 'Walk the counter along a tape once. Strip line until it is true, or hang a card of what it really means.',
  },
  {
    path: '/strength',
    target: '#main section',
    title: 'Strength',
    says: 'Pull lines and joins to the break. The weakest place of the whole rig follows, with its ±.',
  },
  {
    path: '/drag',
    target: '#main section',
    title: 'Drag',
    says: 'Set the drag with a scale to a share of that. See what it becomes as line leaves, and where to ease it.',
  },
  {
    path: '/depth',
    target: '#main section',
    title: 'Depth',
    says: 'Say how deep the bait is to swim, and read where to stop. A depth that you see makes it truer.',
  },
  {
    path: '/card',
    target: '.card-sheet',
    title: 'The card',
    says: 'All of it on a card for the rod. Print it, or hold the phone up.',
  },
];
