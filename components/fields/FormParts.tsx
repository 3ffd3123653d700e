'use client';

import type { ReactNode } from 'react';
import { useController } from 'react-hook-form';
import { useUnits } from '@/components/units/UnitsProvider';
import { CONTROL, Field } from './Field';
import { inColours } from './inColours';
import type { QuantitySpec, Specs } from './specs';
import { shownText, type Typed } from './typedQuantity';
import type { DraftForm } from './useDraftForm';

interface Props<S extends Specs> {
  readonly form: DraftForm<S>;
  readonly name: keyof S & string;
  readonly label: string;
  readonly hint?: ReactNode;
}

/** A field of a form, with what is wrong with it. */
function useField<S extends Specs>({ form, name }: Pick<Props<S>, 'form' | 'name'>) {
  const { field, fieldState } = useController({ control: form.control, name });
  return { field, error: fieldState.error?.message };
}

/** "45", "45 m" and "150 ft" are all understood; switching units rewrites what stands here. */
export function FormQuantity<S extends Specs>({ form, name, label, hint }: Props<S>) {
  const { field, error } = useField({ form, name });
  const { units, format } = useUnits();
  // Only quantities are shown by this part.
  const spec = form.specs[name] as unknown as QuantitySpec;
  const unit = units[spec.quantity];
  const typed = (field.value ?? null) as Typed | null;
  const colours = spec.quantity === 'length' ? inColours(typed, spec.read(typed), format) : undefined;
  return (
    <Field label={label} hint={colours ?? hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <div className="relative">
          <input
            ref={field.ref}
            id={id}
            aria-describedby={describedBy}
            aria-invalid={invalid || undefined}
            inputMode="decimal"
            autoComplete="off"
            value={shownText(typed, spec.initialSi, spec.quantity, unit, spec.limits)}
            onChange={(event) => field.onChange({ text: event.target.value, unit })}
            onBlur={field.onBlur}
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

/** Words, or a number without a unit. */
export function FormText<S extends Specs>({
  form,
  name,
  label,
  hint,
  inputMode = 'text',
}: Props<S> & { readonly inputMode?: 'text' | 'numeric' | 'decimal' }) {
  const { field, error } = useField({ form, name });
  return (
    <Field label={label} hint={hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <input
          ref={field.ref}
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid || undefined}
          inputMode={inputMode}
          autoComplete="off"
          value={String(field.value ?? '')}
          onChange={(event) => field.onChange(event.target.value)}
          onBlur={field.onBlur}
          className={`${CONTROL} ${inputMode === 'text' ? '' : 'figures'}`}
        />
      )}
    </Field>
  );
}

/** One of a few. The system's own list is the best one on a phone. */
export function FormChoice<S extends Specs>({
  form,
  name,
  label,
  hint,
  options,
}: Props<S> & { readonly options: readonly { readonly value: string; readonly text: string }[] }) {
  const { field, error } = useField({ form, name });
  return (
    <Field label={label} hint={hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <select
          ref={field.ref}
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid || undefined}
          value={String(field.value ?? '')}
          onChange={(event) => field.onChange(event.target.value)}
          onBlur={field.onBlur}
          className={CONTROL}
        >
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.text}
            </option>
          ))}
        </select>
      )}
    </Field>
  );
}

/** Yes or no. */
export function FormCheck<S extends Specs>({ form, name, label }: Omit<Props<S>, 'hint'>) {
  const {
    field: { ref, value, onChange, onBlur },
  } = useField({ form, name });
  return (
    <label className="flex min-h-11 items-center gap-2 text-sm">
      <input
        ref={ref}
        type="checkbox"
        className="size-5 accent-chalk"
        checked={value === true}
        onChange={(event) => onChange(event.target.checked)}
        onBlur={onBlur}
      />
      {label}
    </label>
  );
}
