'use client';

import { useSyncExternalStore } from 'react';
import { APPEARANCE_COOKIE, appearanceCookieText, TEXT_SIZES, THEMES, type Appearance } from './appearance';

const YEAR_S = 31_536_000;
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What the page has now, as its root says. */
function shown(): Appearance {
  const { theme, text } = document.documentElement.dataset;
  return {
    theme: THEMES.find((each) => each === theme) ?? THEMES[0],
    text: TEXT_SIZES.find((each) => each === text) ?? TEXT_SIZES[0],
  };
}

/** Changes how pages look on this device, at once and from now on. */
export function setAppearance(change: Partial<Appearance>): void {
  const after = { ...shown(), ...change };
  document.documentElement.dataset.theme = after.theme;
  document.documentElement.dataset.text = after.text;
  document.cookie = `${APPEARANCE_COOKIE}=${appearanceCookieText(after)}; path=/; max-age=${YEAR_S}; samesite=lax`;
  for (const listener of listeners) listener();
}

/** How pages look on this device. */
export function useAppearance(): Appearance {
  const text = useSyncExternalStore(
    subscribe,
    () => JSON.stringify(shown()),
    () => JSON.stringify({ theme: THEMES[0], text: TEXT_SIZES[0] }),
  );
  return JSON.parse(text) as Appearance;
}
