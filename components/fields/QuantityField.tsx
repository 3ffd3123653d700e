'use client';

import { useMemo, type ReactNode } from 'react';
import type { Quantity } from '@/core/units/units';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { CONTROL, Field } from './Field';
import { inColours } from './inColours';
import { readTyped, shownText, type Limits, type Typed } from './typedQuantity';
import { useDraft } from './useDraft';

interface FieldProps {
  readonly label: string;
  readonly quantity: Quantity;
  readonly typed: Typed | null;
  readonly initialSi: number | null;
  readonly limits: Limits;
  readonly onTyped: (typed: Typed) => void;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly placeholder?: string;
  /** Length of one colour of the line at hand (m), for a length that is typed in colours. */
  readonly colourM?: number | undefined;
}

/**
 * A quantity in the person's own units: "45", "45 m" and "150 ft" are all understood, and switching
 * units rewrites what stands here.
 */
export function QuantityField({
  label,
  quantity,
  typed,
  initialSi,
  limits,
  onTyped,
  hint,
  error,
  placeholder,
  colourM,
}: FieldProps) {
  const { units, format } = useUnits();
  const say = useSay();
  const unit = units[quantity];
  const read = readTyped(typed, initialSi, quantity, limits);
  return (
    <Field
      label={label}
      hint={inColours(typed, read, format) ?? hint}
      error={error ?? (read.ok ? undefined : say(read))}
    >
      {({ id, describedBy, invalid }) => (
        <div className="relative">
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={invalid || undefined}
            inputMode="decimal"
            autoComplete="off"
            placeholder={placeholder}
            value={shownText(typed, initialSi, quantity, unit, limits)}
            onChange={(event) =>
              onTyped({ text: event.target.value, unit, ...(colourM === undefined ? {} : { colourM }) })
            }
            className={`${CONTROL} figures pr-10`}
          />
          <span className="pointer-events-none absolute inset-y-0 right-2.5 flex items-center text-sm text-ink-soft">
            {unit}
          </span>
        </div>
      )}
    </Field>
  );
}

function isTyped(kept: unknown): kept is Typed {
  return (
    typeof kept === 'object' &&
    kept !== null &&
    'text' in kept &&
    typeof kept.text === 'string' &&
    'unit' in kept &&
    typeof kept.unit === 'string'
  );
}

/**
 * State of one quantity field, kept over reloads.
 *
 * @returns the SI value (null while empty or unreadable), whether it can be sent, what to hand to
 *   QuantityField, and a way to forget the draft once it is stored
 */
export function useQuantity(draftKey: string, quantity: Quantity, initialSi: number | null, limits: Limits) {
  const [typed, setTyped] = useDraft(draftKey, isTyped);
  const read = readTyped(typed, initialSi, quantity, limits);
  const field = useMemo(
    () => ({ quantity, typed, initialSi, limits, onTyped: setTyped }),
    [quantity, typed, initialSi, limits, setTyped],
  );
  return { value: read.ok ? read.value : null, readable: read.ok, field, set: setTyped, forget: () => setTyped(null) };
}
