'use client';

import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import type { ReactNode } from 'react';
import { CardBoundary } from './CardBoundary';
import { useFold } from './folds';

/**
 * A card that is folded away until it is wanted; its head says in a line what is inside. What was opened stays open on this
 * device, and each has its own address.
 */
export function CollapsibleCard({
  id,
  title,
  line,
  isOpen = false,
  children,
}: {
  /** Its address on the page. */
  id: string;
  title: string;
  line: ReactNode;
  /** How it is while nobody has opened or closed it: open where it is what to do next. */
  isOpen?: boolean;
  children: ReactNode;
}) {
  const [open, setOpen] = useFold(id, isOpen);
  const toggle = (now: boolean): void => {
    setOpen(now);
    // The address says what is looked at, and adds no step back.
    const { pathname, search } = window.location;
    window.history.replaceState(window.history.state, '', now ? `#${id}` : `${pathname}${search}`);
  };
  return (
    <Collapsible.Root
      open={open}
      onOpenChange={toggle}
      asChild
      className="min-w-0 rounded-sm border border-edge bg-card"
    >
      <section id={id} aria-label={title} className="scroll-mt-2">
        <h2>
          <Collapsible.Trigger className="flex min-h-14 w-full items-center gap-x-4 px-4 py-1.5 text-left">
            <span className="min-w-0 grow">
              <span className="lettered block text-lg leading-tight">{title}</span>
              <span className="block text-sm text-ink-soft">{line}</span>
            </span>
            <ChevronDown className={`size-6 shrink-0 ${open ? 'rotate-180' : ''}`} aria-hidden />
          </Collapsible.Trigger>
        </h2>
        {/* Shut, it is not there at all: even an empty one measures itself. */}
        {open && (
          <Collapsible.Content className="border-t-2 border-ink/80 p-4">
            <CardBoundary title={title}>{children}</CardBoundary>
          </Collapsible.Content>
        )}
      </section>
    </Collapsible.Root>
  );
}
