'use client';

import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Button } from './Button';

/** Holds a fault of one card within it: the rest of the page stands, and nothing that was typed is lost. */
export function CardBoundary({ title, children }: { title: string; children: ReactNode }) {
  return (
    <ErrorBoundary
      onError={(error) => console.error(`${title} could not be drawn:`, error)}
      fallbackRender={({ resetErrorBoundary }) => (
        <div role="alert" className="flex flex-col items-start gap-2">
          <p>
            <b>{title}</b> cannot be drawn just now: a fault of ours. Nothing that was stored or typed is lost, and the
            rest of the page stands.
          </p>
          <Button onClick={resetErrorBoundary}>Try again</Button>
        </div>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}
