'use client';

import { createContext, use, useState, type ReactNode } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';

/** The one cursor that all lenses share: length out from the hook (m). */
interface Cursor {
  readonly lengthM: number;
  moveTo(lengthM: number): void;
}

const CursorContext = createContext<StoreApi<Cursor> | null>(null);

/** A cursor of its own for everything below. A step of it renders what reads it, and nothing else. */
export function CursorProvider({ children }: { children: ReactNode }) {
  const [store] = useState(() => createStore<Cursor>((set) => ({ lengthM: 0, moveTo: (lengthM) => set({ lengthM }) })));
  return <CursorContext value={store}>{children}</CursorContext>;
}

function useCursorStore<T>(select: (cursor: Cursor) => T): T {
  const store = use(CursorContext);
  if (!store) throw new Error('useCursor: there is no CursorProvider above');
  return useStore(store, select);
}

/** Where the cursor stands (m out). */
export const useCursor = (): number => useCursorStore((cursor) => cursor.lengthM);

/** Moves the cursor; whoever only moves it is not rendered by its steps. */
export const useMoveCursor = (): Cursor['moveTo'] => useCursorStore((cursor) => cursor.moveTo);

/** Reads where the cursor stands (m out) at the moment of an act; whoever only reads it then is not rendered by its steps. */
export function useReadCursor(): () => number {
  const store = use(CursorContext);
  if (!store) throw new Error('useReadCursor: there is no CursorProvider above');
  return () => store.getState().lengthM;
}
