'use client';

import { useLinkStatus } from 'next/link';

/** Inside a link, left of what it stands in and taking no room of it: says that its page is on the way, where it is not there at once. */
export function Pending() {
  const { pending } = useLinkStatus();
  return (
    <span
      role="status"
      className={`absolute top-1/2 -left-3 size-2 -translate-y-1/2 rounded-full bg-rule transition-opacity delay-150 ${pending ? 'animate-pulse opacity-100' : 'opacity-0'}`}
    >
      {pending && <span className="sr-only">loading</span>}
    </span>
  );
}
