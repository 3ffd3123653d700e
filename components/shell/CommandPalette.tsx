'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { useUnits } from '@/components/units/UnitsProvider';
import { Dialog } from 'radix-ui';
import type { Place } from './places';

/** True while a person types into a field, where single keys are letters. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  );
}

const ITEM =
  'flex min-h-11 cursor-pointer items-center gap-2 px-3 data-[selected=true]:bg-rule data-[selected=true]:text-rule-ink';

const KEYS: readonly [string, string][] = [
  ['Ctrl K', 'find a place or a command'],
  ['?', 'this help'],
  ['← →', 'move the cursor along the line by one unit (the ribbon must have the focus)'],
  ['Shift ← →', 'move it by ten units'],
  ['Home, End', 'hook, arbor'],
  ['Tab', 'the next field or button'],
];

/** Finds places and commands by name, and shows the keys. */
export function CommandPalette({ places }: { places: readonly Place[] }) {
  const router = useRouter();
  const { setUnits } = useUnits();
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
  const run = (work: () => void) => () => {
    setOpen(null);
    work();
  };
  return (
    <>
      <button
        type="button"
        onClick={() => setOpen('palette')}
        className="no-print min-h-9 rounded-sm border border-edge-strong bg-card px-3 text-sm"
      >
        Find <kbd className="figures ml-1 text-xs text-ink-soft">Ctrl K</kbd>
      </button>
      <button
        type="button"
        aria-label="Keys and help"
        onClick={() => setOpen('help')}
        className="no-print min-h-9 min-w-9 rounded-sm border border-edge-strong bg-card text-sm font-bold"
      >
        ?
      </button>
      <Dialog.Root open={open !== null} onOpenChange={(now) => !now && setOpen(null)}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
          <Dialog.Content
            aria-describedby={undefined}
            className="fixed top-[12vh] left-1/2 z-50 w-[34rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 rounded-sm border-2 border-ink bg-card"
          >
            {open === 'help' ? (
              <div className="p-4">
                <Dialog.Title className="lettered text-lg">Keys</Dialog.Title>
                <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
                  {KEYS.map(([key, what]) => (
                    <div key={key} className="contents">
                      <dt className="figures font-semibold">{key}</dt>
                      <dd>{what}</dd>
                    </div>
                  ))}
                </dl>
              </div>
            ) : (
              <Command label="Find a place or a command">
                <Dialog.Title className="sr-only">Find a place or a command</Dialog.Title>
                <Command.Input
                  placeholder="Where to, or what?"
                  className="min-h-12 w-full border-b-2 border-ink bg-transparent px-3 outline-none"
                />
                <Command.List className="max-h-80 overflow-y-auto py-1">
                  <Command.Empty className="px-3 py-4 text-ink-soft">Nothing here is called that.</Command.Empty>
                  {places.map((place) => (
                    <Command.Item
                      key={place.path}
                      value={place.label}
                      onSelect={run(() => router.push(place.path))}
                      className={ITEM}
                    >
                      {place.label}
                    </Command.Item>
                  ))}
                  <Command.Item
                    onSelect={run(() => setUnits({ length: 'ft', smallLength: 'in', force: 'lb' }))}
                    className={ITEM}
                  >
                    Show feet, inches and pounds
                  </Command.Item>
                  <Command.Item
                    onSelect={run(() => setUnits({ length: 'm', smallLength: 'mm', force: 'kg' }))}
                    className={ITEM}
                  >
                    Show metres, millimetres and kilograms
                  </Command.Item>
                </Command.List>
              </Command>
            )}
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}
