import { useId, type ReactNode } from 'react';
import { useReady } from '@/components/ui/useReady';

interface Props {
  readonly label: string;
  readonly hint?: ReactNode;
  readonly error?: string | undefined;
  /** Its control; `asleep` until the page answers, so that nothing is typed into a control that does not hear it. */
  readonly children: (ids: {
    id: string;
    describedBy: string | undefined;
    invalid: boolean;
    asleep: boolean;
  }) => ReactNode;
}

/** A label, its control, a hint, and the sentence that says what is wrong. */
export function Field({ label, hint, error, children }: Props) {
  const id = useId();
  const ready = useReady();
  const hintId = `${id}-hint`;
  const errorId = `${id}-error`;
  const describedBy = [hint ? hintId : null, error ? errorId : null].filter(Boolean).join(' ') || undefined;
  return (
    <div className="flex min-w-0 flex-col gap-1">
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      {children({ id, describedBy, invalid: error !== undefined, asleep: !ready })}
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
