'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { fetched } from '@/components/ui/fetched';
import type { Place } from './paths';

/** True while a person types into a field, where single keys are letters. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

/** Loaded when it is first opened. */
const Palette = dynamic(() => fetched(() => import('./Palette')).then(({ Palette: loaded }) => loaded), { ssr: false });

/** The way to places and commands by name, and to the keys. */
export function CommandPalette({ places }: { places: readonly Place[] }) {
  const [open, setOpen] = useState<'palette' | 'help' | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        setOpen('palette');
      } else if (event.key === '?' && !isTyping(event.target)) {
        setOpen('help');
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen('palette')}
        className="no-print min-h-11 rounded-sm border border-edge-strong bg-card px-3 text-sm"
      >
        Find <kbd className="figures ml-1 hidden text-xs text-ink-soft sm:inline">Ctrl K</kbd>
      </button>
      <button
        type="button"
        aria-label="Keys and help"
        onClick={() => setOpen('help')}
        className="no-print hidden min-h-11 min-w-9 rounded-sm border border-edge-strong bg-card text-sm font-bold sm:block"
      >
        ?
      </button>
      {open && <Palette shows={open} places={places} onClose={() => setOpen(null)} onHelp={() => setOpen('help')} />}
    </>
  );
}
