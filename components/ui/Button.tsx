import type { ButtonHTMLAttributes, ReactNode } from 'react';

type Weight = 'main' | 'plain' | 'quiet';

const LOOKS: Readonly<Record<Weight, string>> = {
  main: 'bg-chalk text-on-chalk border-chalk hover:brightness-110',
  plain:
    'bg-card text-ink border-edge-strong hover:bg-paper aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-card',
  quiet:
    'bg-transparent text-chalk border-transparent underline decoration-1 underline-offset-4 hover:decoration-2 aria-pressed:border-chalk aria-pressed:no-underline',
};

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly weight?: Weight;
  readonly children: ReactNode;
}

/** A button that a wet thumb can hit: never lower than 44 px. */
export function Button({ weight = 'plain', className = '', type = 'button', disabled = false, ...rest }: Props) {
  return (
    <button
      type={type}
      disabled={disabled}
      className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-sm border-2 px-4 py-1.5 font-semibold max-sm:px-3 ${disabled ? 'cursor-not-allowed opacity-55' : ''} ${LOOKS[weight]} ${className}`}
      {...rest}
    />
  );
}
