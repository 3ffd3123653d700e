import { screen } from '@testing-library/react';
import { plannedRig } from '../tests/rigFixture';
import { renderRig } from '../tests/renderRig';
import { CountStation } from './count/CountStation';
import { DragStation } from './drag/DragStation';
import { JoinsStation } from './joins/JoinsStation';
import { LoadStation } from './load/LoadStation';
import { WholeLine } from './rig/WholeLine';
import { StrengthStation } from './strength/StrengthStation';
import { DepthStation } from './tow/DepthStation';

beforeEach(() => window.localStorage.clear());

const JOINS = { people: [], crew: { tested: {}, tied: {} }, ownFigures: [], drills: [], windOns: [], now: 0 };

test.each([
  ['the whole line', 'line', <WholeLine key="whole" />],
  ['Load', 'line', <LoadStation key="load" />],
  ['Joins', 'line', <JoinsStation key="joins" {...JOINS} />],
  ['Count', 'counter', <CountStation key="count" />],
  ['Strength', 'strength', <StrengthStation key="strength" />],
  ['Drag', 'drag', <DragStation key="drag" />],
  ['Depth', 'water', <DepthStation key="depth" />],
] as const)('%s without a line shows in pencil what will stand there, with no figure', (_, sketch, station) => {
  renderRig({ ...plannedRig(), segments: [], joins: [], planJoins: [] }, station);
  const [drawing] = screen.getAllByTestId(`sketch-${sketch}`);
  expect(drawing).toHaveAttribute('aria-hidden', 'true');
  expect(drawing?.textContent).toBe('');
});
