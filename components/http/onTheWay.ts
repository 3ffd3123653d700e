'use client';

import { useSyncExternalStore } from 'react';

/** Of what this page sends: nothing yet, something on its way, and how the last of it ended. */
type Sending = 'nothing' | 'on its way' | 'done' | 'not done';

let count = 0;
let sending: Sending = 'nothing';
const listeners = new Set<() => void>();

function change(by: 1 | -1, ended: Sending): void {
  count += by;
  sending = count > 0 ? 'on its way' : ended;
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Says that a request has left. @returns to be called once, when it is over, with whether it was carried out */
export function onTheWay(): (isDone: boolean) => void {
  change(1, 'on its way');
  return (isDone) => change(-1, isDone ? 'done' : 'not done');
}

/** How it stands with what this page sends. */
export const useSending = (): Sending =>
  useSyncExternalStore(
    subscribe,
    () => sending,
    () => 'nothing',
  );
