'use client';

import { useSyncExternalStore } from 'react';
import { LOOKS_COOKIE, looksCookieText, TEXT_SIZES, THEMES, type Looks } from './looks';

const YEAR_S = 31_536_000;
const listeners = new Set<() => void>();

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The looks that the page has now, as its root says. */
function shown(): Looks {
  const { theme, text } = document.documentElement.dataset;
  return {
    theme: THEMES.find((each) => each === theme) ?? THEMES[0],
    text: TEXT_SIZES.find((each) => each === text) ?? TEXT_SIZES[0],
  };
}

/** Changes how pages look on this device, at once and from now on. */
export function setLooks(change: Partial<Looks>): void {
  const after = { ...shown(), ...change };
  document.documentElement.dataset.theme = after.theme;
  document.documentElement.dataset.text = after.text;
  document.cookie = `${LOOKS_COOKIE}=${looksCookieText(after)}; path=/; max-age=${YEAR_S}; samesite=lax`;
  for (const listener of listeners) listener();
}

/** How pages look on this device. */
export function useLooks(): Looks {
  const text = useSyncExternalStore(
    subscribe,
    () => JSON.stringify(shown()),
    () => JSON.stringify({ theme: THEMES[0], text: TEXT_SIZES[0] }),
  );
  return JSON.parse(text) as Looks;
}
