import { screen, within } from '@testing-library/react';
import { plannedRig, woundRig } from '@/tests/rigFixture';
import { renderRig } from '@/tests/renderRig';
import { SheetOfRig } from './SheetOfRig';

describe('the run sheet on paper', () => {
  it('has joins, stops, checks, boxes to tick and to write in, and a code', () => {
    renderRig(plannedRig(), <SheetOfRig />);
    const rows = within(screen.getByRole('region', { name: 'Run sheet of Bench rod' })).getAllByRole('row');
    expect(rows[1]).toHaveTextContent(/to the arbor.*Backing.*± \d+ m.*\d{3} ± \d+.*zeroed/);
    expect(rows[2]).toHaveTextContent(/to Backing.*27\.43.*orange on: \d{3} ± \d+black on: \d{3}/);
    expect(screen.getByText('Wound by')).toBeInTheDocument();
    expect(screen.getByText('this rig')).toBeInTheDocument();
    expect(screen.getByTitle('Code that opens this rig')).toBeInTheDocument();
  });

  it('of a winding shows what is on, and opens that very winding', () => {
    const rig = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null });
    if (!rig.load) throw new Error('the fixture is not loaded');
    renderRig({ ...rig, load: { ...rig.load, winding: rig.load.winding.slice(0, 1) } }, <SheetOfRig />);
    expect(screen.getByText(/^stopped at \d+$/)).toBeInTheDocument();
    expect(screen.getByText('this very winding')).toBeInTheDocument();
  });

  it('of a reel without a counter goes by turns, of the handle too', () => {
    const rig = plannedRig();
    renderRig({ ...rig, reel: { ...rig.reel, counter: null, gearRatio: 5 } }, <SheetOfRig />);
    expect(screen.getByText(/Gear ratio 5\./)).toBeInTheDocument();
    expect(screen.getAllByText(/of the handle/)).toHaveLength(3);
  });
});
