import { act, fireEvent, screen } from '@testing-library/react';
import { renderRig } from '../../tests/renderRig';
import { woundRig } from '../../tests/rigFixture';
import { reachChosenAt } from '../../core/rig/strength/reach';
import { useRig } from '../rig/RigProvider';
import { Ribbon } from './Ribbon';

const sent: { url: string; body: unknown }[] = [];

beforeEach(() => {
  sent.length = 0;
  global.fetch = jest.fn((url: string, init?: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init?.body)) });
    return Promise.resolve(new Response(JSON.stringify({ done: true }), { status: 200 }));
  }) as typeof fetch;
});

function RibbonWithReach() {
  const { view } = useRig();
  return view && <Ribbon view={view} orientation="lying" hasReach />;
}

const handle = () => screen.getByRole('slider', { name: 'Line that may be out' });

describe('the mark up to which line may be out', () => {
  it('stands where the reach ends, is moved by keys, and is kept by Enter alone', async () => {
    renderRig(woundRig(), <RibbonWithReach />);
    const before = Number(handle().getAttribute('aria-valuenow'));
    fireEvent.keyDown(handle(), { key: 'Home' });
    fireEvent.keyDown(handle(), { key: 'ArrowRight', shiftKey: true });
    expect(handle()).toHaveAttribute('aria-valuenow', '10');
    expect(handle().getAttribute('aria-valuetext')).toMatch(/Enter keeps it/);
    expect(sent).toEqual([]);
    fireEvent.keyDown(handle(), { key: 'Escape' });
    expect(handle()).toHaveAttribute('aria-valuenow', String(before));
    fireEvent.keyDown(handle(), { key: 'Home' });
    fireEvent.keyDown(handle(), { key: 'Enter' });
    await act(async () => Promise.resolve());
    expect(sent[0]).toMatchObject({ url: expect.stringMatching(/\/reach$/), body: { kind: 'use', runM: null } });
  });

  it('means what is fished with, a run, or all of it, by where it stands', () => {
    const record = { workingRange: { fromM: 20, toM: 60 } };
    const line = { totalLengthM: 200, handLinedLengthM: 5 } as Parameters<typeof reachChosenAt>[1];
    expect(reachChosenAt(record, line, 40)).toEqual({ kind: 'use', runM: null });
    expect(reachChosenAt(record, line, 105)).toEqual({ kind: 'run', runM: 40 });
    expect(reachChosenAt(record, line, 200)).toEqual({ kind: 'arbor', runM: null });
  });
});
