import { render, screen, within } from '@testing-library/react';
import type { BoatAtAGlance } from '@/usecases/rigs/locker';
import { AtAGlance } from './AtAGlance';

const rod = (name: string, of: Partial<BoatAtAGlance['rods'][number]> = {}): BoatAtAGlance['rods'][number] => ({
  id: name.replaceAll(' ', '-'),
  name,
  position: null,
  stale: [],
  due: [],
  ...of,
});
const shown = (rods: BoatAtAGlance['rods'], total = rods.length) =>
  render(<AtAGlance boatId="boat" glance={{ rods, total, looked: rods.length }} />);

describe('a boat at a glance', () => {
  it('names what no longer stands, leads to the first of it, and counts what is due', () => {
    shown([
      rod('Port rod', { stale: ['count', 'drag'], due: ['joins'] }),
      rod('Stern rod', { due: ['count', 'drag'] }),
      rod('Third rod'),
    ]);
    expect(screen.getByRole('link', { name: 'Port rod' })).toHaveAttribute('href', '/boats/boat/rigs/Port-rod/count');
    expect(screen.getByText('Count, Drag')).toBeInTheDocument();
    expect(screen.getByText('3 rods, something due on 2: Joins on 1, Count on 1, Drag on 1.')).toBeInTheDocument();
  });

  it('counts the rest where many are stale, and says so where not all rods were looked through', () => {
    shown(
      ['a', 'b', 'c', 'd', 'e'].map((name) => rod(`Rod ${name}`, { stale: ['joins'] })),
      60,
    );
    expect(screen.getAllByRole('link')).toHaveLength(3);
    expect(screen.getByText('and 2 more rods with something stale.')).toBeInTheDocument();
    expect(screen.getByText('60 rods, the first 5 looked through, nothing else due.')).toBeInTheDocument();
  });

  it('shows the rods as they stand, each with its stations, once somebody has told where', () => {
    shown([
      rod('Copper rod', { position: 'port', stale: ['count'] }),
      rod('Plain rod', { position: 'starboard', due: ['drag'] }),
      rod('Other rod', { position: 'starboard' }),
      rod('Spare rod', { due: ['load'] }),
    ]);
    const column = (title: string) => within(screen.getByRole('list', { name: title }));
    expect(column('Port').getByRole('listitem')).toHaveTextContent('Copper rodstaleCount');
    expect(column('Port').getByRole('link')).toHaveAttribute('href', '/boats/boat/rigs/Copper-rod/count');
    expect(screen.getByText('Stern: no rod')).toBeInTheDocument();
    expect(
      column('Starboard')
        .getAllByRole('listitem')
        .map((item) => item.textContent),
    ).toEqual(['Plain roddueDrag', 'Other roddone']);
    expect(column('Place not told').getByRole('listitem')).toHaveTextContent('Spare rod');
    expect(screen.getByText('4 rods, something due on 2: Load on 1, Drag on 1.')).toBeInTheDocument();
  });

  it('says where all is in order, and where there is no rod', () => {
    shown([rod('Port rod')]);
    expect(screen.getByText('One rod, nothing stale, nothing due.')).toBeInTheDocument();
    shown([]);
    expect(screen.getByText('No rod in this locker yet.')).toBeInTheDocument();
  });
});
