'use client';

import { Button } from '@/components/ui/Button';

export default function ErrorPage({ reset }: { reset: () => void }) {
  return (
    <main id="main" className="mx-auto max-w-[84rem] px-4 py-8">
      <h1 className="lettered text-2xl">Something snapped on our side</h1>
      <p className="mt-2 mb-4">Nothing that was stored is lost, and what you were typing is kept in this browser.</p>
      <Button weight="main" onClick={reset}>
        Try again
      </Button>
    </main>
  );
}
