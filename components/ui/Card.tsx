import type { ReactNode } from 'react';
import { CardBoundary } from './CardBoundary';

/** A line card: a titled sheet with a ruled head. */
export function Card({
  title,
  children,
  aside,
  className = '',
}: {
  title: string;
  children: ReactNode;
  aside?: ReactNode;
  className?: string;
}) {
  return (
    <section aria-label={title} className={`min-w-0 rounded-sm border border-edge bg-card ${className}`}>
      <header className="flex flex-wrap items-baseline justify-between gap-x-4 border-b-2 border-ink/80 px-4 pt-2.5 pb-1">
        <h2 className="lettered text-lg">{title}</h2>
        {aside}
      </header>
      <div className="p-4">
        <CardBoundary title={title}>{children}</CardBoundary>
      </div>
    </section>
  );
}

/** A caution at the step where it applies. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p role="note" className="flex gap-2 border-l-4 border-warn bg-warn/10 px-3 py-2 text-sm">
      <span className="font-bold text-warn">Caution</span>
      <span>{children}</span>
    </p>
  );
}
