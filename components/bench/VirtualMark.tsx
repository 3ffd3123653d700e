import { FlaskConical } from 'lucide-react';
import type { ReactNode } from 'react';

/** A corner of the screen where a simulated instrument stands in for a real one, and says so. */
export function VirtualBench({ children, instrument }: { children: ReactNode; instrument: string }) {
  return (
    <div className="rounded-sm border-2 border-dashed border-edge-strong p-3">
      <p className="mb-2 flex items-center gap-2 text-sm">
        <FlaskConical className="size-4 shrink-0" aria-hidden />
        <span>
          <b>Virtual bench.</b> A simulated {instrument}, with a truth of its own that this page does not know.
        </span>
      </p>
      <div className="flex flex-wrap gap-2">{children}</div>
    </div>
  );
}
