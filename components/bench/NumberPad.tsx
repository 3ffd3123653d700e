'use client';

import { Delete } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Button } from '@/components/ui/Button';

/** How long a step is held before it repeats, and how often then (ms). */
const HOLD_MS = 450;
const REPEAT_MS = 90;

/** A reading under one thumb: digits, and steps of one and ten that repeat while they are held. */
export function NumberPad({
  disabled,
  onDigit,
  onErase,
  onStep,
}: {
  readonly disabled: boolean;
  readonly onDigit: (digit: string) => void;
  readonly onErase: () => void;
  readonly onStep: (counts: number) => void;
}) {
  const key = 'min-h-14 px-0 text-2xl figures';
  return (
    <div className="grid grid-cols-5 gap-1.5" role="group" aria-label="Number pad">
      {['1', '2', '3', '4', '5', '6', '7', '8', '9', '0'].map((digit) => (
        <Button key={digit} className={key} disabled={disabled} onClick={() => onDigit(digit)}>
          {digit}
        </Button>
      ))}
      <Step className={key} disabled={disabled} counts={-10} onStep={onStep} />
      <Step className={key} disabled={disabled} counts={-1} onStep={onStep} />
      <Step className={key} disabled={disabled} counts={1} onStep={onStep} />
      <Step className={key} disabled={disabled} counts={10} onStep={onStep} />
      <Button className={key} disabled={disabled} aria-label="Take the last digit back" onClick={onErase}>
        <Delete className="size-6" aria-hidden />
      </Button>
    </div>
  );
}

/** A step that repeats while it is held. */
function Step({
  counts,
  disabled,
  className,
  onStep,
}: {
  counts: number;
  disabled: boolean;
  className: string;
  onStep: (counts: number) => void;
}) {
  const latest = useRef(onStep);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const held = useRef(false);
  useEffect(() => {
    latest.current = onStep;
  });
  const stop = (): void => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
  };
  useEffect(() => stop, []);
  const again = (): void => {
    held.current = true;
    latest.current(counts);
    timer.current = setTimeout(again, REPEAT_MS);
  };
  const size = Math.abs(counts);
  return (
    <Button
      className={className}
      disabled={disabled}
      aria-label={`${size === 1 ? 'One count' : `${size} counts`} ${counts < 0 ? 'less' : 'more'}`}
      onPointerDown={() => {
        held.current = false;
        timer.current = setTimeout(again, HOLD_MS);
      }}
      onPointerUp={stop}
      onPointerLeave={stop}
      onPointerCancel={stop}
      onClick={() => {
        // A hold has stepped already.
        if (!held.current) onStep(counts);
        held.current = false;
      }}
    >
      {counts < 0 ? `−${size}` : `+${size}`}
    </Button>
  );
}
