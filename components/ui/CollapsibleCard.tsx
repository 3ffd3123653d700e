'use client';

import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { CardBoundary } from './CardBoundary';

/** A card that is folded away until it is wanted; its head says in a line what is inside. */
export function CollapsibleCard({ title, line, children }: { title: string; line: ReactNode; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <Collapsible.Root
      open={open}
      onOpenChange={setOpen}
      asChild
      className="min-w-0 rounded-sm border border-edge bg-card"
    >
      <section aria-label={title}>
        <h2>
          <Collapsible.Trigger className="flex min-h-14 w-full items-center gap-x-4 px-4 py-2 text-left">
            <span className="grow">
              <span className="lettered block text-lg">{title}</span>
              <span className="block text-sm text-ink-soft">{line}</span>
            </span>
            <ChevronDown className={`size-6 shrink-0 ${open ? 'rotate-180' : ''}`} aria-hidden />
          </Collapsible.Trigger>
        </h2>
        <Collapsible.Content className="border-t-2 border-ink/80 p-4">
          <CardBoundary title={title}>{children}</CardBoundary>
        </Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}
