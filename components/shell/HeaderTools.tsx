'use client';

import { Menu } from 'lucide-react';
import { Popover } from 'radix-ui';
import { NotingAs, type Crew } from '@/components/crew/NotingAs';
import { CommandPalette } from './CommandPalette';
import { LooksSwitch } from './LooksSwitch';
import type { Place } from './paths';
import { UnitSwitch } from './UnitSwitch';

/** Who notes, the units, the way to anywhere: in a row where there is room, in a menu where there is none. */
export function HeaderTools({ places, crew }: { places: readonly Place[]; crew?: Crew }) {
  return (
    <>
      <div className="hidden flex-wrap items-center gap-x-4 gap-y-2 sm:flex">
        {crew && <NotingAs crew={crew} />}
        <UnitSwitch />
      </div>
      <div className="flex shrink-0 gap-1.5">
        <CommandPalette places={places} />
        <Popover.Root>
          <Popover.Trigger
            aria-label="Settings"
            className="no-print grid min-h-9 min-w-9 place-items-center rounded-sm border border-edge-strong bg-card"
          >
            <Menu className="size-5" aria-hidden />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="end"
              sideOffset={6}
              className="z-40 flex max-w-[calc(100vw-1rem)] flex-col gap-3 rounded-sm border-2 border-ink bg-card p-3"
            >
              <div className="flex flex-col gap-3 sm:hidden">
                {crew && <NotingAs crew={crew} />}
                <UnitSwitch />
              </div>
              <LooksSwitch />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </div>
    </>
  );
}
