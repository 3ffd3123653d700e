'use client';

import { ToggleGroup } from 'radix-ui';
import { TEXT_SIZES, THEMES } from '@/components/looks/looks';
import { setLooks, useLooks } from '@/components/looks/useLooks';

function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly T[];
  onChange: (value: T) => void;
}) {
  return (
    <div className="text-sm">
      <p className="mb-1 font-semibold">{label}</p>
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
            className="min-h-11 grow px-3 text-sm font-semibold data-[state=off]:bg-card data-[state=on]:bg-ink data-[state=on]:text-paper"
          >
            {option}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}

/** Colours and text size of this device: sun on deck, night at the rail, glasses left ashore. */
export function LooksSwitch() {
  const { theme, text } = useLooks();
  return (
    <>
      <Choice label="Colours" value={theme} options={THEMES} onChange={(next) => setLooks({ theme: next })} />
      <Choice label="Text" value={text} options={TEXT_SIZES} onChange={(next) => setLooks({ text: next })} />
    </>
  );
}
