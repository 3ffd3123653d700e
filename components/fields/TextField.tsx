'use client';

import type { ReactNode } from 'react';
import { CONTROL, Field } from './Field';

interface TextProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  readonly inputMode?: 'text' | 'numeric' | 'decimal';
  readonly figures?: boolean;
}

export function TextField({ label, value, onChange, hint, error, inputMode = 'text', figures = false }: TextProps) {
  return (
    <Field label={label} hint={hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid || undefined}
          inputMode={inputMode}
          autoComplete="off"
          value={value}
          onChange={(event) => onChange(event.target.value)}
          className={`${CONTROL} ${figures ? 'figures' : ''}`}
        />
      )}
    </Field>
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: string }[];
  readonly onChange: (value: T) => void;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
}

/** A choice of one among few. The system's own list is the best one on a phone. */
export function ChoiceField<T extends string>({ label, value, options, onChange, hint, error }: ChoiceProps<T>) {
  return (
    <Field label={label} hint={hint} error={error}>
      {({ id, describedBy, invalid }) => (
        <select
          id={id}
          aria-describedby={describedBy}
          aria-invalid={invalid || undefined}
          value={value}
          onChange={(event) => {
            const chosen = options.find((option) => option.value === event.target.value);
            if (chosen) onChange(chosen.value);
          }}
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
