import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { RigRecord } from '../core/record/record';
import { MeasuringEntries } from '../components/measuring/MeasuringEntries';
import { RigProvider } from '../components/rig/RigProvider';
import { Toasts } from '../components/ui/Toasts';
import { UnitsProvider } from '../components/units/UnitsProvider';
import type { UnitChoice } from '../core/units/units';

const METRIC: UnitChoice = { length: 'm', smallLength: 'mm', force: 'kg' };

/** Renders something of a rig's page with everything that stands above it in the application. */
export function renderRig(record: RigRecord, children: ReactNode, units: UnitChoice = METRIC) {
  return render(
    <UnitsProvider initial={units}>
      <Toasts>
        <RigProvider record={record}>
          <MeasuringEntries>{children}</MeasuringEntries>
        </RigProvider>
      </Toasts>
    </UnitsProvider>,
  );
}
