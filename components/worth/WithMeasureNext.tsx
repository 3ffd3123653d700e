'use client';

import type { ReactNode } from 'react';
import { isUseless, type FigureKind } from '@/core/worth/enough';
import { MeasureNext } from './MeasureNext';

/**
 * A figure with what to measure next for it. Where its ± makes it useless the figure steps back: what would make it useful comes first.
 *
 * @param figure whose ± is looked at
 * @param kinds of the figures for which something can be measured here
 */
export function WithMeasureNext({
  figure,
  kinds,
  children,
}: {
  figure: {
    readonly kind: FigureKind;
    readonly value: number;
    readonly plusMinus: number;
    /** What a hand does, in the unit of the figure. */
    readonly byHand?: number;
  };
  kinds: readonly FigureKind[];
  children: ReactNode;
}) {
  if (!isUseless(figure.kind, figure.value, figure.plusMinus, figure.byHand)) {
    return (
      <>
        {children}
        <MeasureNext kinds={kinds} />
      </>
    );
  }
  return (
    <>
      <p className="text-lg font-semibold text-warn">Known too little to act by: measure first.</p>
      <MeasureNext kinds={kinds} />
      <div className="mt-3 text-ink-soft [&_.text-4xl]:text-xl">{children}</div>
    </>
  );
}
