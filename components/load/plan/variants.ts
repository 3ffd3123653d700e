import { isStackDraft, type StackDraft } from './stackDraft';

/** A plan that was put aside for comparison. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  readonly draft: StackDraft;
}

export const MOST_VARIANTS = 4;

export function areVariants(kept: unknown): kept is readonly Variant[] {
  return (
    Array.isArray(kept) &&
    kept.every(
      (each: unknown) =>
        typeof each === 'object' &&
        each !== null &&
        'id' in each &&
        'name' in each &&
        'draft' in each &&
        isStackDraft(each.draft),
    )
  );
}
