'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import { Button } from '@/components/ui/Button';
import { fetched } from '@/components/ui/fetched';
import type { OfThing } from './Keeping';

/** Loaded when it is first opened. */
const MoreDialog = dynamic(() => fetched(() => import('./MoreDialog')).then(({ MoreDialog: loaded }) => loaded), {
  ssr: false,
});

/** A button that opens what can be done with a thing that has a name. */
export function More(props: OfThing) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        weight="quiet"
        aria-label={`More about ${props.name}`}
        aria-haspopup="dialog"
        aria-expanded={isOpen}
        onClick={() => setOpen(true)}
      >
        More
      </Button>
      {isOpen && <MoreDialog {...props} onClose={() => setOpen(false)} />}
    </>
  );
}
