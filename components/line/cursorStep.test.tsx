import { fireEvent, screen } from '@testing-library/react';
import { Profiler, type ReactNode } from 'react';
import { DragStation } from '../drag/DragStation';
import { CountStation } from '../count/CountStation';
import { JoinsStation } from '../joins/JoinsStation';
import { LoadStation } from '../load/LoadStation';
import { RigFrame } from '../rig/RigFrame';
import { WholeLine } from '../rig/WholeLine';
import { StrengthStation } from '../strength/StrengthStation';
import { pulls, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import type * as CardModule from '../ui/Card';
import type * as BandsModule from './RibbonBands';

const rendered = { cards: 0, bands: 0 };

jest.mock('../ui/Card', () => {
  const actual = jest.requireActual<typeof CardModule>('../ui/Card');
  return {
    ...actual,
    Card: (props: Parameters<typeof actual.Card>[0]) => {
      rendered.cards += 1;
      return actual.Card(props);
    },
  };
});
jest.mock('./RibbonBands', () => {
  const actual = jest.requireActual<typeof BandsModule>('./RibbonBands');
  return {
    ...actual,
    RibbonBands: (props: Parameters<typeof actual.RibbonBands>[0]) => {
      rendered.bands += 1;
      return actual.RibbonBands(props);
    },
  };
});

const STATIONS: readonly (readonly [string, () => ReactNode])[] = [
  ['the whole line', () => <WholeLine />],
  ['Load', () => <LoadStation />],
  [
    'Joins',
    () => <JoinsStation people={[]} crew={{ tested: {}, tied: {} }} ownFigures={[]} drills={[]} windOns={[]} now={0} />,
  ],
  ['Count', () => <CountStation />],
  ['Strength', () => <StrengthStation />],
  ['Drag', () => <DragStation />],
];

describe('a step of the cursor', () => {
  it.each(STATIONS)('renders ribbon, readout and cursor lines alone: %s', (_, station) => {
    const rig = { ...woundRig(), strengthTests: [pulls('nylon', [140, 142, 139]), pulls('top', [85, 84, 86])] };
    let commits = 0;
    renderRig(
      rig,
      <Profiler id="page" onRender={() => (commits += 1)}>
        <RigFrame>{station()}</RigFrame>
      </Profiler>,
    );
    const [ribbon] = screen.getAllByRole('slider');
    if (!ribbon) throw new Error('there is no ribbon');
    const before = { ...rendered };
    const commitsBefore = commits;
    fireEvent.keyDown(ribbon, { key: 'ArrowRight', shiftKey: true });
    expect(screen.getByLabelText('At the cursor')).toHaveTextContent('10.0 m');
    expect(commits).toBe(commitsBefore + 1);
    expect(rendered).toEqual(before);
  });
});
