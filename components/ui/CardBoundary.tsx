'use client';

import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Button } from './Button';

/** Says in the place of something that it cannot be drawn, and how to try again. */
export function Snapped({ title, onAgain }: { title: string; onAgain: () => void }) {
  return (
    <div role="alert" className="flex flex-col items-start gap-2">
      <p>
        <b>{title}</b> cannot be drawn just now: a fault of ours. Nothing that was stored or typed is lost, and the rest
        of the page stands.
      </p>
      <Button onClick={onAgain}>Try again</Button>
    </div>
  );
}

/** Holds a fault of one card within it: the rest of the page stands, and nothing that was typed is lost. */
export function CardBoundary({ title, children }: { title: string; children: ReactNode }) {
  return (
    <ErrorBoundary
      onError={(error) => console.error(`${title} could not be drawn:`, error)}
      fallbackRender={({ resetErrorBoundary }) => <Snapped title={title} onAgain={resetErrorBoundary} />}
    >
      {children}
    </ErrorBoundary>
  );
}
