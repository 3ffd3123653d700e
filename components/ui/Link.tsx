import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link to another page here. Nothing of that page is asked for before it is pressed: every page is made at the
 * moment it is read, so that asking early brought next to nothing, in forty requests that a phone had to work through.
 */
export function Link(props: ComponentProps<typeof NextLink>) {
  return <NextLink prefetch={false} {...props} />;
}
