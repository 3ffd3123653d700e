import { useId, type ReactNode } from 'react';

interface Props {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  /** Its control. */
  readonly children: (ids: { id: string; describedBy: string | undefined; invalid: boolean }) => ReactNode;
}

/** A label, its control, a hint, and the sentence that says what is wrong. */
export function Field({ label, hint, error, children }: Props) {
  const id = useId();
  const hintId = `${id}-hint`;
  const errorId = `${id}-error`;
  const describedBy = [hint ? hintId : null, error ? errorId : null].filter(Boolean).join(' ') || undefined;
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      {children({ id, describedBy, invalid: error !== undefined })}
      {hint && (
        <p id={hintId} className="text-xs text-ink-soft">
          {hint}
        </p>
      )}
      {error && (
        <p id={errorId} role="alert" className="text-sm font-semibold text-stop">
          {error}
        </p>
      )}
    </div>
  );
}

export const CONTROL =
  'min-h-11 w-full min-w-0 rounded-sm border-2 border-edge-strong bg-card px-2.5 text-ink aria-invalid:border-stop';
