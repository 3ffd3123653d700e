'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import type { GlossaryEntry } from '@/words/glossary';
import { fetched } from '@/components/ui/fetched';

/** Loaded with the first word that is asked for. */
const TermDrawing = dynamic(() => fetched(() => import('./TermDrawing')).then(({ TermDrawing: loaded }) => loaded), {
  ssr: false,
});

/** A selection is looked up when it has stood so long (ms): not while it is still drawn. */
const SETTLED_MS = 250;
const LETTERS = { least: 1, most: 32 } as const;
const WIDTH_PX = 340;

interface Shown {
  readonly entry: GlossaryEntry;
  readonly leftPx: number;
  readonly topPx: number;
}

/**
 * A word of the trade that is selected anywhere (double-clicked, held down, or marked by keys) shows what it means beside it. The words
 * themselves are loaded when the first one is asked for.
 */
export function WordMeaning() {
  const [shown, setShown] = useState<Shown | null>(null);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async (): Promise<void> => {
      const selection = document.getSelection();
      const words = selection?.toString().trim() ?? '';
      if (!selection || selection.rangeCount === 0 || words.length < LETTERS.least || words.length > LETTERS.most)
        return setShown(null);
      const { meaningOf } = await fetched(() => import('@/words/glossary'));
      const entry = meaningOf(words);
      if (!entry) return setShown(null);
      const { left, bottom } = selection.getRangeAt(0).getBoundingClientRect();
      setShown({ entry, leftPx: Math.max(8, Math.min(left, window.innerWidth - WIDTH_PX - 8)), topPx: bottom + 6 });
    };
    const onSelection = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => void look(), SETTLED_MS);
    };
    const onKey = (event: KeyboardEvent): void => {
      if (event.key === 'Escape') setShown(null);
    };
    const onScroll = (): void => setShown(null);
    document.addEventListener('selectionchange', onSelection);
    document.addEventListener('keydown', onKey);
    window.addEventListener('scroll', onScroll, { passive: true });
    return () => {
      clearTimeout(timer);
      document.removeEventListener('selectionchange', onSelection);
      document.removeEventListener('keydown', onKey);
      window.removeEventListener('scroll', onScroll);
    };
  }, []);
  return (
    <div role="status" className="no-print">
      {shown && (
        <p
          className="fixed z-[60] max-w-[min(21rem,calc(100vw-1rem))] border-2 border-ink bg-card px-3 py-2 text-sm shadow"
          style={{ left: shown.leftPx, top: shown.topPx }}
        >
          <TermDrawing term={shown.entry.term} />
          <b>{shown.entry.term}</b>. {shown.entry.meaning}
        </p>
      )}
    </div>
  );
}
