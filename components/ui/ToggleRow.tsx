'use client';

import { ToggleGroup } from 'radix-ui';

/** One of a few words in a row, the chosen one dark. */
export function ToggleRow<T extends string>({
  label,
  value,
  options,
  onChange,
  room,
}: {
  label: string;
  value: T;
  options: readonly T[];
  onChange: (value: T) => void;
  /** Classes for the room that each word has. */
  room: string;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        const chosen = options.find((option) => option === next);
        if (chosen) onChange(chosen);
      }}
      className="flex overflow-hidden rounded-sm border border-edge-strong"
    >
      {options.map((option) => (
        <ToggleGroup.Item
          key={option}
          value={option}
          className={`text-sm font-semibold data-[state=off]:bg-card data-[state=on]:bg-ink data-[state=on]:text-paper ${room}`}
        >
          {option}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
