import { Link } from './Link';
import type { ReactNode } from 'react';

/** A way to the next act on another page, as heavy as the main button of this one. */
export function LinkButton({ href, children }: { href: string; children: ReactNode }) {
  return (
    <Link
      href={href}
      className="inline-flex min-h-11 items-center justify-center rounded-sm border-2 border-chalk bg-chalk px-4 py-1.5 font-semibold text-on-chalk hover:brightness-110"
    >
      {children}
    </Link>
  );
}
