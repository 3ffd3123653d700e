'use client';

import {
  METRES_PER_LENGTH_UNIT,
  METRES_PER_SMALL_LENGTH_UNIT,
  NEWTONS_PER_FORCE_UNIT,
  type UnitChoice,
} from '@/core/units/units';
import { ToggleRow } from '@/components/ui/ToggleRow';
import { useUnits } from '@/components/units/UnitsProvider';

function Group<K extends keyof UnitChoice>({
  kind,
  label,
  options,
}: {
  kind: K;
  label: string;
  options: readonly UnitChoice[K][];
}) {
  const { units, setUnits } = useUnits();
  return (
    <ToggleRow
      label={label}
      value={units[kind]}
      options={options}
      onChange={(chosen) => setUnits({ [kind]: chosen })}
      room="min-h-11 min-w-9 px-2"
    />
  );
}

const keysOf = <T extends object>(object: T) => Object.keys(object) as (keyof T)[];

/** Switches every figure on every screen at once, and is remembered. */
export function UnitSwitch() {
  return (
    <div className="no-print flex flex-wrap gap-1.5">
      <Group kind="length" label="Unit of line length" options={keysOf(METRES_PER_LENGTH_UNIT)} />
      <Group kind="smallLength" label="Unit of diameters" options={keysOf(METRES_PER_SMALL_LENGTH_UNIT)} />
      <Group kind="force" label="Unit of force" options={keysOf(NEWTONS_PER_FORCE_UNIT)} />
    </div>
  );
}
