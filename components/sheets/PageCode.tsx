'use client';

import { QRCodeSVG } from 'qrcode.react';
import { useSyncExternalStore } from 'react';

const never = (): (() => void) => () => undefined;

/** A code that brings a device to a page, at the address under which this one was opened. */
export function PageCode({ path, says }: { path: string; says: string }) {
  const origin = useSyncExternalStore(
    never,
    () => window.location.origin,
    () => null,
  );
  if (origin === null) return <div className="size-24 shrink-0" />;
  return (
    <figure className="shrink-0 text-center">
      <QRCodeSVG
        value={`${origin}${path}`}
        size={96}
        level="M"
        marginSize={2}
        title={`Code that opens ${says}`}
        fgColor="#14232b"
        bgColor="#ffffff"
      />
      <figcaption className="text-xs">{says}</figcaption>
    </figure>
  );
}
