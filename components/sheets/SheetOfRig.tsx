'use client';

import { useRig } from '@/components/rig/RigProvider';
import { PrintSheets } from './PrintSheets';

/** The run sheet of the rig whose page this is. */
export function SheetOfRig() {
  const { record } = useRig();
  return <PrintSheets records={[record]} />;
}
