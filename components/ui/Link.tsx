'use client';

import NextLink from 'next/link';
import type { ComponentProps } from 'react';
import { mayBeAway } from './reach';
import { useGo } from './useGo';

/**
 * A link to another page here. Nothing of that page is asked for before it is pressed: every page is made at the
 * moment it is read, so that asking early brought next to nothing, in forty requests that a phone had to work through.
 */
export function Link(props: Omit<ComponentProps<typeof NextLink>, 'href'> & { readonly href: string }) {
  const go = useGo();
  return (
    <NextLink
      prefetch={false}
      onNavigate={(event) => {
        if (!mayBeAway()) return;
        event.preventDefault();
        go.to(props.href);
      }}
      {...props}
    />
  );
}
