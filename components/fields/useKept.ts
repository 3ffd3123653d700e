'use client';

import { isText, useDraft } from './useDraft';

/** One of a few that a person chose and that is not stored yet, kept over a reload; `fresh` until then. */
export function useKeptChoice<const W extends string>(
  key: string,
  of: readonly W[],
  fresh: W,
): [W, (chosen: W | null) => void] {
  const [kept, keep] = useDraft(key, isText);
  return [of.find((each) => each === kept) ?? fresh, keep];
}

/** A text that a person types and that is not stored yet, kept over a reload; null forgets it. */
export function useKeptText(key: string, fresh = ''): [string, (typed: string | null) => void] {
  const [kept, keep] = useDraft(key, isText);
  return [kept ?? fresh, keep];
}

const isYes = (kept: unknown): kept is true => kept === true;

/** A box that a person ticked and that is not stored yet, kept over a reload. */
export function useKeptCheck(key: string): [boolean, (ticked: boolean) => void] {
  const [kept, keep] = useDraft(key, isYes);
  return [kept === true, (ticked) => keep(ticked ? true : null)];
}
