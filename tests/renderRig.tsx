import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { RigRecord } from '../core/record/record';
import { MeasuringEntries } from '../components/measuring/MeasuringEntries';
import { stationStates } from '../core/rig/stationStates';
import { viewFound } from '../core/rig/view/rigView';
import { RigProvider } from '../components/rig/RigProvider';
import { Toasts } from '../components/ui/Toasts';
import { UnitsProvider } from '../components/units/UnitsProvider';
import { OPEN_FOLDS } from './openFolds';
import type { UnitChoice } from '../core/units/units';

const METRIC: UnitChoice = { length: 'm', smallLength: 'mm', force: 'kg' };

/** Renders something of a rig's page with everything that stands above it in the application. */
export function renderRig(record: RigRecord, children: ReactNode, units: UnitChoice = METRIC) {
  // The address that the test before left would open a fold of its own.
  window.history.replaceState(null, '', window.location.pathname);
  // Unless a test has folds of its own in mind.
  if (window.localStorage.getItem(OPEN_FOLDS.key) === null)
    window.localStorage.setItem(OPEN_FOLDS.key, OPEN_FOLDS.kept);
  return render(
    <UnitsProvider initial={units}>
      <Toasts>
        <RigProvider record={record} found={viewFound(record)} states={stationStates(record)}>
          <MeasuringEntries>{children}</MeasuringEntries>
        </RigProvider>
      </Toasts>
    </UnitsProvider>,
  );
}
