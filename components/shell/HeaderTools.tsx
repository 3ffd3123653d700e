'use client';

import { Menu } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { NotingAs, type Crew } from '@/components/crew/NotingAs';
import { fetched } from '@/components/ui/fetched';
import { CommandPalette } from './CommandPalette';
import type { Place } from './paths';
import { UnitSwitch } from './UnitSwitch';

/** Loaded when it is first opened. */
const HeaderMenu = dynamic(() => fetched(() => import('./HeaderMenu')).then(({ HeaderMenu: loaded }) => loaded), {
  ssr: false,
});

/** Who notes, the units, the way to anywhere: in a row where there is room, in a menu where there is none. */
export function HeaderTools({ places, crew }: { places: readonly Place[]; crew?: Crew }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <div className="hidden shrink-0 items-center gap-x-3 lg:flex">
        {crew && <NotingAs crew={crew} />}
        <UnitSwitch />
      </div>
      <div className="flex shrink-0 gap-1.5">
        <CommandPalette places={places} />
        <button
          type="button"
          aria-label="Settings"
          aria-haspopup="dialog"
          aria-expanded={isOpen}
          onClick={() => setOpen(true)}
          className="no-print grid min-h-11 min-w-11 place-items-center rounded-sm border border-edge-strong bg-card"
        >
          <Menu className="size-5" aria-hidden />
        </button>
      </div>
      {isOpen && (
        <HeaderMenu places={places} onClose={() => setOpen(false)}>
          <div className="flex flex-col gap-3 lg:hidden">
            {crew && <NotingAs crew={crew} />}
            <UnitSwitch />
          </div>
        </HeaderMenu>
      )}
    </>
  );
}
