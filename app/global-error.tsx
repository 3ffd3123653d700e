'use client';

import './globals.css';
import ErrorPage from './error';

/** Stands in for the whole document where a fault is above all pages. */
export default function GlobalErrorPage({ reset }: { reset: () => void }) {
  return (
    <html lang="en">
      <body className="min-h-dvh font-sans">
        <title>Something snapped · Tidy Marlin</title>
        <ErrorPage reset={reset} />
      </body>
    </html>
  );
}
