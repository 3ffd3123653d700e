'use client';

import { Command } from 'cmdk';
import { usePathname, useRouter } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useUnits } from '@/components/units/UnitsProvider';
import { JOIN_KIND_NAMES, JOIN_KINDS } from '@/core/joins/joinKinds';
import { knotsPath, type Place } from './paths';

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

/** Every way to join, by its plain name and by those under which handbooks have it. */
const knotPlaces = (boatId: string): readonly Place[] =>
  JOIN_KIND_NAMES.map((kind) => ({
    label: `How to tie: ${JOIN_KINDS[kind].name}`,
    path: knotsPath(boatId, kind),
    alsoCalled: JOIN_KINDS[kind].alsoKnownAs,
  }));

/** Places and commands to be found by name, or the keys. */
export function Palette({
  shows,
  places,
  onClose,
}: {
  shows: 'palette' | 'help';
  places: readonly Place[];
  onClose: () => void;
}) {
  const router = useRouter();
  // Knots are those of the boat that is open.
  const boatId = /^\/boats\/([^/]+)/.exec(usePathname())?.[1];
  const knots = boatId ? knotPlaces(boatId) : [];
  const { setUnits } = useUnits();
  const run = (work: () => void) => () => {
    onClose();
    work();
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[12vh] left-1/2 z-50 w-[34rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 rounded-sm border-2 border-ink bg-card"
        >
          {shows === 'help' ? (
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
                {[...places, ...knots].map((place) => (
                  <Command.Item
                    key={place.path}
                    value={place.label}
                    keywords={[...(place.alsoCalled ?? [])]}
                    onSelect={run(() => router.push(place.path))}
                    className={ITEM}
                  >
                    {place.label}
                    {place.alsoCalled && <span className="text-sm text-ink-soft">{place.alsoCalled.join(', ')}</span>}
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
  );
}
