/** What backing is for: to fill the spool, as a reserve for a long run, or to stand coral and rock. */
export const BACKING_PURPOSES = ['fill', 'reserve', 'abrasion'] as const;
export type BackingPurpose = (typeof BACKING_PURPOSES)[number];
