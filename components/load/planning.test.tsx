import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { RigRecord } from '../../core/record/record';
import { plannedRig, withEvidence, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { LoadStation } from './LoadStation';

const sent: { url: string; body: unknown }[] = [];

beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ id: 'x' }) } as Response);
  }) as unknown as typeof fetch;
});

const open = (title: string): void =>
  void fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${title}`) }));
const section = (name: string) => within(screen.getByRole('region', { name }));

const spool = (id: string, lineProductId: string, lengthM: number) => ({
  id,
  lineProductId,
  label: `Shelf ${id}`,
  boughtLengthM: lengthM,
  remainingLengthM: lengthM,
  archivedAt: null,
});

describe('beside the plan', () => {
  it('stands a kit list with tags and overlaps, and where it comes from', () => {
    const rig = { ...plannedRig(), supplySpools: [spool('a', 'lead', 91.44), spool('b', 'top', 20)] };
    renderRig(rig, <LoadStation />);
    open('Kit list');
    const rows = section('Lines of the kit list').getAllByRole('row');
    expect(rows[2]).toHaveTextContent(/27\.4 m.*27\.7 m.*Shelf a: leaves 63\.7 m/);
    expect(rows[1]).toHaveTextContent('none on the shelf');
    expect(rows[3]).toHaveTextContent(/buy 40\.\d m more/);
    expect(screen.getByText(/wash hands after handling lead/)).toBeInTheDocument();
    expect(screen.getByText('No helper needed.')).toBeInTheDocument();
  });

  it('gives advice with its figures and ways out', () => {
    const rig = plannedRig();
    const braided: RigRecord = {
      ...rig,
      products: rig.products.map((product) => (product.id === 'nylon' ? { ...product, material: 'braid' } : product)),
    };
    renderRig(braided, <LoadStation />);
    const advice = within(screen.getByRole('list', { name: 'Advice on this plan' }));
    expect(advice.getByText(/feels exactly like a broken drag/)).toHaveTextContent(/nylon underlay.*tape.*criss-cross/);
  });

  it('fills over on purpose where line will soon be gone', () => {
    renderRig(plannedRig(), <LoadStation />);
    const backing = (): number =>
      Number(/^(\d+)/.exec(screen.getAllByText(/^\d+ ± \d+ m$/)[0]?.textContent ?? '')?.[1]);
    const before = backing();
    fireEvent.change(screen.getByLabelText('Line that will soon be gone'), { target: { value: '30' } });
    expect(backing()).toBeGreaterThan(before + 8);
    expect(screen.getByText(/so that the level ends/)).toHaveTextContent(/level ends \d\.\d+ ± .* under the rim/);
  });

  it('compares a kept plan on one scale, takes it up, and keeps the one in the editor', async () => {
    const rig = plannedRig();
    const stack = { segments: rig.segments, joins: rig.planJoins, fill: null };
    const plan = { id: 'k', name: 'long top', at: '2026-04-01T10:00:00.000Z', stack };
    renderRig({ ...rig, keptPlans: [plan] }, <LoadStation />);
    open('Kept plans');
    fireEvent.click(screen.getByRole('button', { name: 'Look at it beside' }));
    const lengths = screen.getAllByLabelText('Length');
    fireEvent.change(lengths.at(-1) ?? document.body, { target: { value: '20' } });
    const table = section('Plans compared');
    expect(table.getByRole('row', { name: /line that it takes/ })).toHaveTextContent(
      /20\.0 m top line.*60\.0 m top line/,
    );
    expect(table.getByRole('row', { name: /weakest place/ })).toHaveTextContent(/kg/);
    expect(screen.getByRole('img', { name: /^long top, from hook to arbor/ })).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Take it up' }));
    expect(screen.getAllByLabelText('Length').at(-1)).toHaveValue('60');
    fireEvent.change(screen.getByLabelText('Line that will soon be gone'), { target: { value: '5' } });
    fireEvent.change(screen.getByLabelText('Name of the plan as it stands'), { target: { value: 'as it is' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep this plan' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.url).toBe('/api/boats/boat/kept-plans');
    expect(sent[0]?.body).toMatchObject({
      name: 'as it is',
      stack: { fill: { target: { kind: 'below-rim', levelBelowRimM: 0.002 }, soonGoneM: 5 } },
    });
  });

  it('shows the fill as it was stored with the plan', () => {
    const fill = { target: { kind: 'counter-true' as const, fromM: 12, toM: 40 }, soonGoneM: 3 };
    renderRig({ ...plannedRig(), fill }, <LoadStation />);
    expect(screen.getByLabelText('Fill it')).toHaveValue('counter-true');
    expect(screen.getByLabelText('Working from')).toHaveValue('12');
    expect(screen.getByLabelText('to')).toHaveValue('40');
    expect(screen.getByLabelText('Line that will soon be gone')).toHaveValue('3');
  });

  it('turns a recipe into this reel’s own readings', () => {
    renderRig(plannedRig(), <LoadStation />);
    open('Convert a recipe');
    fireEvent.change(screen.getByLabelText('Counts of Backing'), { target: { value: '420' } });
    const table = section('The recipe converted');
    expect(table.getByRole('row', { name: /^Backing/ })).toHaveTextContent(/\d+ ± \d+ m.*mostly from/);
    fireEvent.click(screen.getByRole('button', { name: 'Use these lengths in the stack' }));
    expect(screen.getByText(/Every length is given, so the level follows/)).toBeInTheDocument();
  });
});

describe('what is known of the reel', () => {
  it('is shown before and now, with the evidence, and can be forgotten with a reason', async () => {
    const wound = woundRig({ levelBelowRimM: 0.0028 });
    if (!wound.load) throw new Error('the fixture is not loaded');
    const rig = withEvidence(wound, { loads: [{ reelId: 'reel', rigName: 'Bench rod', load: wound.load }] });
    renderRig(rig, <LoadStation />);
    open('How this reel is known');
    expect(screen.getByText(/from 1 load of this reel/)).toBeInTheDocument();
    expect(section('Dimensions before and now').getByRole('row', { name: /^arbor/ })).toHaveTextContent(
      /31\.4 ± .*measured.*31\./,
    );
    expect(screen.getByText('Bench rod: level after Top shot')).toBeInTheDocument();
    expect(screen.getAllByText(/space than believed|as much space as believed/).length).toBeGreaterThan(0);
    fireEvent.click(screen.getByRole('button', { name: 'Forget it' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Nothing is typed here yet.');
    // The form library moves the focus in a turn of its own.
    await waitFor(() => expect(screen.getByLabelText(/Forget what was learned/)).toHaveFocus());
    fireEvent.change(screen.getByLabelText(/Forget what was learned/), { target: { value: 'new spool' } });
    fireEvent.click(screen.getByRole('button', { name: 'Forget it' }));
    await waitFor(() =>
      expect(sent[0]).toEqual({ url: '/api/boats/boat/reels/reel/forget', body: { reason: 'new spool' } }),
    );
  });

  it('can be begun by a guided reverse fill, kept over a reload and saved only when all of it can be read', async () => {
    const { unmount } = renderRig(plannedRig(), <LoadStation />);
    open('How this reel is known');
    fireEvent.click(screen.getByRole('button', { name: 'Guide me through a reverse fill' }));
    fireEvent.change(screen.getByLabelText('Backing that went on'), { target: { value: 'a lot' } });
    fireEvent.change(screen.getByLabelText('Lead core that went on'), { target: { value: '27' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep this capacity' }));
    await waitFor(() => expect(screen.getByLabelText('Backing that went on')).toHaveFocus());
    expect(sent).toHaveLength(0);
    unmount();
    // What was opened is open still.
    renderRig(plannedRig(), <LoadStation />);
    fireEvent.click(screen.getByRole('button', { name: 'Guide me through a reverse fill' }));
    expect(screen.getByText(/in this order: Top shot, Lead core, Backing/)).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Backing that went on'), { target: { value: '180' } });
    fireEvent.change(screen.getAllByLabelText('Level under the rim')[0] ?? document.body, { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep this capacity' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/reels/reel/reverse-fills',
      body: {
        evenTension: true,
        levelBelowRimM: 0.002,
        segments: [{ lengthM: 60 }, { lengthM: 27 }, { lengthM: 180 }],
      },
    });
  });
});

describe('at the bench', () => {
  const begun = (): RigRecord => {
    const rig = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null });
    return { ...rig, load: rig.load && { ...rig.load, winding: rig.load.winding.slice(0, 1) } };
  };

  it('captures a colour change by the reading that stands there', async () => {
    renderRig(begun(), <LoadStation />);
    const button = screen.getByRole('button', { name: 'Colour changed now: black follows' });
    expect(button).toBeDisabled();
    fireEvent.change(screen.getByLabelText('Counter reads'), { target: { value: '989' } });
    expect(screen.getByText(/By that reading .* are on: layer/)).toBeInTheDocument();
    fireEvent.click(button);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: expect.stringContaining('/colours') as string,
      body: { coloursOn: 1, reading: 989, segmentId: 's1' },
    });
  });

  it('takes the line off the shelf with the finish', async () => {
    const rig = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null });
    renderRig({ ...rig, supplySpools: [spool('big', 'lead', 90), spool('small', 'lead', 30)] }, <LoadStation />);
    expect(screen.getByLabelText('Lead core came from')).toHaveDisplayValue(/Shelf small/);
    fireEvent.change(screen.getByLabelText('Level under the rim'), { target: { value: '2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Finish this load' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ supplies: [{ segmentId: 's1', supplySpoolId: 'small' }] });
  });

  it('says to leave the end uncut, and replaces a worn top shot in one act', async () => {
    const change = {
      id: 'c',
      segmentId: 's2',
      changeM: -25,
      reason: 'lost' as const,
      note: '',
      at: '2026-03-02T10:00:00.000Z',
    };
    renderRig(woundRig({ changes: [change] }), <LoadStation />);
    expect(screen.getByText(/Leave the supply end of top shot uncut/)).toBeInTheDocument();
    expect(screen.getByText('Replace it')).toBeInTheDocument();
    expect(screen.getByText(/the counter reads/)).toHaveTextContent(/% more for the same line/);
    fireEvent.click(screen.getByRole('button', { name: 'Put a new one on' }));
    fireEvent.click(screen.getByRole('button', { name: 'It is on' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: expect.stringContaining('/replacements') as string,
      body: { segmentId: 's2', productId: 'top', supplySpoolId: null },
    });
  });
});
