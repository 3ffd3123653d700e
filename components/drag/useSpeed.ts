'use client';

import { KNOT_MS } from '@/core/units/units';
import { isText, useDraft } from '@/components/fields/useDraft';

/** A speed through the water, typed in knots, kept over reloads. */
export function useSpeed(draftKey: string, usualKn: number, mostKn: number) {
  const [typed, setTyped] = useDraft(draftKey, isText);
  const text = typed ?? String(usualKn);
  const knots = Number(text.replace(',', '.'));
  const ok = text.trim() !== '' && knots >= 0 && knots <= mostKn;
  return {
    speedMS: ok ? knots * KNOT_MS : null,
    field: {
      value: text,
      onChange: setTyped,
      inputMode: 'decimal' as const,
      figures: true,
      error: ok ? undefined : `Between 0 and ${mostKn} kn.`,
    },
  };
}
