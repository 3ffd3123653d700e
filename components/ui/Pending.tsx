'use client';

import { useLinkStatus } from 'next/link';

/** Inside a link: says that its page is on the way, where it is not there at once. */
export function Pending() {
  const { pending } = useLinkStatus();
  return (
    <span
      role="status"
      className={`inline-block size-2 rounded-full bg-rule transition-opacity delay-150 ${pending ? 'animate-pulse opacity-100' : 'opacity-0'}`}
    >
      {pending && <span className="sr-only">loading</span>}
    </span>
  );
}
