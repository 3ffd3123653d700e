import { WordsProvider } from '@/components/units/WordsProvider';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { DragPullRecord, DragSettingRecord, RigRecord } from '../core/record/record';
import { rigSummary } from '@/core/rig/rigSummary';
import { plannedRig, pulls, trial, woundRig } from '../tests/rigFixture';
import { renderRig } from '../tests/renderRig';
import { CountStation } from './count/CountStation';
import { DragStation } from './drag/DragStation';
import { Locker } from './locker/Locker';
import { WholeLine } from './rig/WholeLine';
import { StrengthStation } from './strength/StrengthStation';
import { Toasts } from './ui/Toasts';
import { UnitsProvider } from './units/UnitsProvider';

const sent: { url: string; body: unknown }[] = [];

beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ id: 'new' }) } as Response);
  }) as unknown as typeof fetch;
});

const tested = (rig: RigRecord = woundRig()): RigRecord => ({
  ...rig,
  strengthTests: [pulls('nylon', [140, 142, 139]), pulls('lead', [80, 82, 78]), pulls('top', [85, 84, 86])],
});

describe('the Count station', () => {
  it('says what to do first on a rig that is not loaded, and that a reel has no counter', () => {
    const { unmount } = renderRig(plannedRig(), <CountStation />);
    expect(screen.getByRole('link', { name: 'Load the reel first' })).toHaveAttribute(
      'href',
      '/boats/boat/rigs/rig/load',
    );
    unmount();
    const rig = woundRig();
    renderRig({ ...rig, reel: { ...rig.reel, counter: null } }, <CountStation />);
    expect(screen.getByText(/This reel has no counter/)).toBeInTheDocument();
  });

  it('needs no walk where the winding was logged, and says what it rests on', () => {
    renderRig(woundRig(), <CountStation />);
    expect(screen.getAllByText(/at a true 30\.5 m/)[0]).toBeInTheDocument();
    expect(screen.getByText(/No walk is needed: the winding was logged/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Accept, with the table' })).toBeEnabled();
    const rests = within(screen.getByRole('region', { name: 'What it rests on' }));
    expect(rests.getByText(/the maker says 174/)).toBeInTheDocument();
    expect(rests.getByRole('row', { name: /Lead core going on/ })).toBeInTheDocument();
  });

  it('names a walk that does not fit, and keeps it', () => {
    renderRig({ ...woundRig(), trials: [trial(31), trial(36, 30, '2026-03-01T12:00:00.000Z')] }, <CountStation />);
    expect(screen.getAllByText(/Does not fit: this one would need the spool to be/)).toHaveLength(1);
    expect(screen.getByRole('img', { name: /Tests one after another: 3\.3 %, 20\.0 % off true/ })).toBeInTheDocument();
  });

  it('asks once how the display rounds, and what hangs from the tip', async () => {
    const rig = woundRig();
    const unknown = rig.reel.counter && { ...rig.reel.counter, display: 'unknown' as const };
    renderRig({ ...rig, reel: { ...rig.reel, counter: unknown } }, <CountStation />);
    fireEvent.click(screen.getByRole('button', { name: /it cuts off/ }));
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { display: 'truncates' } }));
    fireEvent.click(screen.getByRole('button', { name: 'Count it' }));
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { hangM: 0.34 } }));
  });

  it('takes colours at the tip and spool turns', async () => {
    renderRig(woundRig(), <CountStation />);
    fireEvent.change(screen.getByLabelText('Test it by'), { target: { value: 'colour' } });
    fireEvent.change(screen.getByLabelText('Counter reads'), { target: { value: '71' } });
    fireEvent.click(screen.getByRole('button', { name: 'Record this colour' }));
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ body: { kind: 'colour', segmentId: 's1', coloursOut: 1 } }),
    );
    fireEvent.change(screen.getByLabelText('Test it by'), { target: { value: 'turns' } });
    fireEvent.change(screen.getByLabelText('Counter moved by'), { target: { value: '17' } });
    fireEvent.click(screen.getByRole('button', { name: 'Record these turns' }));
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { kind: 'turns', turns: 100, betweenFlips: true } }));
  });

  it('is walked at arm’s length: digits, arrows, space, Escape', async () => {
    renderRig(woundRig(), <CountStation />);
    fireEvent.click(screen.getByRole('button', { name: 'Bench mode' }));
    const bench = screen.getByRole('dialog');
    for (const key of ['2', '9', 'ArrowUp', 'ArrowUp', 'ArrowDown']) fireEvent.keyDown(bench, { key });
    expect(screen.getByTestId('walk-reading')).toHaveTextContent('030');
    fireEvent.keyDown(bench, { key: ' ' });
    await waitFor(() => expect(sent.at(-1)).toMatchObject({ body: { kind: 'tape', reading: 30 } }));
    fireEvent.keyDown(bench, { key: 'Escape' });
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('reads low: too full, strip; the amount has its ± and what to expect next', () => {
    renderRig({ ...woundRig(), trials: [trial(29)] }, <CountStation />);
    expect(screen.getByText(/reads 3 % low: the spool is too full/)).toBeInTheDocument();
    const way = screen.getByRole('heading', { name: 'Strip at the top' }).parentElement;
    if (!way) throw new Error('there is no such way');
    expect(way).toHaveTextContent(/\d+(\.\d+)? ± \d+(\.\d+)? m/);
    expect(way).toHaveTextContent(/off Top shot; then expect 30/);
    expect(screen.getByText(/Do not cut the supply line before/)).toBeInTheDocument();
  });

  it('records what was stripped as a change of line', async () => {
    renderRig({ ...woundRig(), trials: [trial(29)] }, <CountStation />);
    fireEvent.click(screen.getByRole('button', { name: 'I have taken it off' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: expect.stringContaining('/loads/load/changes'),
      body: { segmentId: 's2', reason: 'stripped' },
    });
  });

  it('says why a way is closed', () => {
    const fixed = woundRig({ segments: (woundRig().load?.segments ?? []).map((s) => ({ ...s, lengthKnown: true })) });
    renderRig({ ...fixed, trials: [trial(29)] }, <CountStation />);
    expect(screen.getByText(/Closed: Top shot is a fixed length/)).toBeInTheDocument();
  });

  it('lists joins and colours with the winding log beside the model', () => {
    renderRig({ ...woundRig(), trials: [trial(31)] }, <CountStation />);
    const table = within(screen.getByRole('region', { name: 'Correction table' }));
    expect(table.getByRole('row', { name: /Lead core: green is out/ })).toBeInTheDocument();
    const join = table.getByRole('row', { name: /Top shot out, Lead core follows/ });
    expect(within(join).getAllByRole('cell')[2]).toHaveTextContent(/^\d+$/);
  });

  it('records a walk, and refuses a reading that is none', async () => {
    renderRig(woundRig(), <CountStation />);
    fireEvent.change(screen.getByLabelText('True length walked'), { target: { value: '100 ft' } });
    fireEvent.change(screen.getByLabelText('Counter reads'), { target: { value: '30.5' } });
    expect(screen.getByRole('button', { name: 'Record this walk' })).toBeDisabled();
    fireEvent.change(screen.getByLabelText('Counter reads'), { target: { value: '31' } });
    fireEvent.click(screen.getByRole('button', { name: 'Record this walk' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({
      kind: 'tape',
      loadId: 'load',
      trueLengthM: expect.closeTo(30.48, 9),
      reading: 31,
      instrument: 'read by eye',
    });
  });
});

describe('the Strength station', () => {
  it('names the weakest place, what is only assumed, and what mending it would buy', () => {
    renderRig(tested(), <StrengthStation />);
    const card = screen.getByRole('region', { name: 'The weakest place' });
    // 80 N of lead core at three quarters: 60 N, 6.1 kg.
    expect(card).toHaveTextContent(/6\.1 ± [\d.]+ kg/);
    expect(card).toHaveTextContent('sheath over mono, overhand (Backing – Lead core)');
    expect(card).toHaveTextContent('That figure is a default, not a test.');
    expect(card).toHaveTextContent(/With it mended the rig would hold [\d.]+ kg/);
  });

  it('says in a sentence what 95 of 100 pieces hold and what more pulls would buy, and flags a misfit', () => {
    const rig = {
      ...woundRig(),
      strengthTests: [pulls('nylon', [140, 142, 141, 143, 139, 141, 180]), pulls('top', [85, 84, 86])],
    };
    renderRig(rig, <StrengthStation />);
    expect(
      screen.getAllByText(/95 of 100 such dry pieces should hold .* kg; 3 more pulls like these would raise that/),
    ).toHaveLength(2);
    fireEvent.change(screen.getByLabelText('Line in the grips'), { target: { value: 'nylon' } });
    expect(screen.getByText(/Pull 7, .* does not fit the others/)).toBeInTheDocument();
    expect(screen.getByText(/Was another spool in the grips/)).toBeInTheDocument();
  });

  it('does not call two pulls a mean', () => {
    renderRig({ ...woundRig(), strengthTests: [pulls('nylon', [140, 142])] }, <StrengthStation />);
    expect(screen.getByRole('row', { name: /nylon line/ })).toHaveTextContent(/not enough yet/);
    expect(screen.getByRole('row', { name: /lead line/ })).toHaveTextContent('not pulled yet');
  });

  it('wants the expectation before the first pull, and shows the caution at the step', async () => {
    renderRig(woundRig(), <StrengthStation />);
    expect(screen.getByRole('note')).toHaveTextContent('Eye protection on');
    expect(screen.queryByLabelText('Peak force')).toBeNull();
    fireEvent.change(screen.getByLabelText('Expected to break at'), { target: { value: '30 lb' } });
    fireEvent.click(screen.getByRole('button', { name: 'Begin this test' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      body: { productId: 'nylon', condition: 'dry', expectedN: expect.closeTo(133.447, 3) },
    });
  });

  it('tells at once a pull that does not fit, with likely reasons', () => {
    renderRig(tested(), <StrengthStation />);
    fireEvent.change(screen.getByLabelText('Peak force'), { target: { value: '6 kg' } });
    expect(screen.getByText(/below what you expected/)).toHaveTextContent(/the right spool in the grips\?/);
  });
});

const pull = (kind: DragPullRecord['kind'], movingN: number, breakawayN = movingN * 1.1): DragPullRecord => ({
  id: `${kind}${movingN}${Math.trunc(breakawayN)}`,
  kind,
  movingN,
  breakawayN,
  settingStep: 0,
  starTurns: null,
  instrument: 'read by eye',
  at: '',
});

function withSession(made: readonly DragPullRecord[], acceptedAt: string | null = null): RigRecord {
  const setting: DragSettingRecord = {
    id: 'd',
    loadId: 'load',
    fraction: 0.25,
    strengthBasis: 'weakest',
    targetN: 15,
    rodAngleRad: Math.PI / 3,
    basis: {},
    startedAt: '',
    acceptedAt,
    pulls: made.map((one, index) => ({ ...one, id: String(index) })),
  };
  return { ...tested(), ...(acceptedAt ? { dragSetting: setting } : { dragSession: setting }) };
}

describe('the Drag station', () => {
  it('sets bases side by side and recomputes the target at every key stroke', () => {
    renderRig(tested(), <DragStation />);
    expect(screen.getByText(/^1\.53 ± 0\.\d\d kg$/)).toBeInTheDocument();
    const percent = screen.getByLabelText('Share, per cent');
    fireEvent.change(percent, { target: { value: '35' } });
    expect(screen.getByText(/Past a third of the strength with /)).toBeInTheDocument();
    fireEvent.change(percent, { target: { value: '60' } });
    expect(screen.getByText('Between 5 and 40.')).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Begin a scale session' })).toBeDisabled();
    fireEvent.click(screen.getByRole('button', { name: '20 %' }));
    fireEvent.click(screen.getByRole('radio', { name: /tested line/ }));
    expect(screen.getByText(/the weakest line as pulled, joins not counted/)).toBeInTheDocument();
    expect(screen.getByText(/maker's drag limit \(8\.97 kg\)/)).toBeInTheDocument();
  });

  it.each([
    [[], 'Warm up: 2 more pulls that do not count.'],
    [[pull('warm-up', 9), pull('warm-up', 9)], 'Pull through the bent rod.'],
    [[pull('bent rod', 10)], 'A little more: 0.51 kg to go.'],
    [[pull('bent rod', 20)], 'A little less: 0.51 kg too much.'],
    [[pull('bent rod', 15)], 'On target. Pull again: three pulls must agree.'],
    [
      [pull('bent rod', 15), pull('bent rod', 15.1), pull('bent rod', 14.9)],
      'Set: the last three agree within 0.02 kg.',
    ],
  ])('leads through a session: %#', (made, words) => {
    renderRig(withSession(made), <DragStation />);
    expect(screen.getByText(words)).toBeInTheDocument();
  });

  it('lets a setting be accepted only when the pulls agree', () => {
    const { unmount } = renderRig(withSession([pull('bent rod', 15)]), <DragStation />);
    expect(screen.getByRole('button', { name: 'Accept this setting' })).toBeDisabled();
    unmount();
    renderRig(withSession([pull('bent rod', 15), pull('bent rod', 15.1), pull('bent rod', 14.9)]), <DragStation />);
    expect(screen.getByRole('button', { name: 'Accept this setting' })).toBeEnabled();
  });

  it('tells a sticky drag, and the guides’ own factor from one straight pull', () => {
    renderRig(
      withSession([
        pull('bent rod', 15, 23),
        pull('bent rod', 15, 23),
        pull('bent rod', 15, 23),
        pull('straight', 12.5),
      ]),
      <DragStation />,
    );
    expect(screen.getByText(/above 1\.3 a drag is sticky/)).toBeInTheDocument();
    expect(screen.getByText(/Guides, measured/)).toHaveTextContent('× 1.20');
  });

  it('says what the setting becomes as line leaves, and what is not counted', () => {
    renderRig(
      withSession([pull('bent rod', 15), pull('bent rod', 15), pull('bent rod', 15)], '2026-03-01T12:00:00.000Z'),
      <DragStation />,
    );
    expect(screen.getByText(/as far as it may be \(× 1\.\d\d\)/)).toBeInTheDocument();
    expect(screen.getByText(/^Not counted: a belly/)).toHaveTextContent(/a hot or wet drag/);
    expect(screen.getByText(/Stale, changed since/)).toBeInTheDocument();
    expect(screen.getByText(/The last pulls agree within/)).toBeInTheDocument();
  });
});

describe('the rig’s page and the locker', () => {
  it('give every station’s state with its reason', () => {
    renderRig(tested(), <WholeLine />);
    const stations = screen.getByRole('region', { name: 'What to do next' });
    expect(stations).toHaveTextContent('no test of this load accepted yet');
    expect(stations).toHaveTextContent('all 3 lines pulled 3 times or more');
    expect(screen.getByText(/Loading, testing and setting write here by themselves/)).toBeInTheDocument();
  });

  it('draw every rig, and teach when there is none', () => {
    const inUnits = (children: React.ReactNode) => (
      <UnitsProvider initial={{ length: 'm', smallLength: 'mm', force: 'kg' }}>
        <WordsProvider>
          <Toasts>{children}</Toasts>
        </WordsProvider>
      </UnitsProvider>
    );
    const { unmount } = render(
      inUnits(
        <Locker
          boatId="boat"
          isWhole
          rigs={[
            { ...tested(), rodPosition: 'stern' as const },
            { ...plannedRig(), id: 'empty', name: 'New rod', segments: [] },
          ].map(rigSummary)}
        />,
      ),
    );
    expect(screen.getAllByRole('img')).toHaveLength(1);
    expect(screen.getByText('No line planned yet.')).toBeInTheDocument();
    expect(screen.getAllByRole('heading', { level: 2 }).map((each) => each.textContent)).toEqual([
      'At the stern',
      'Place on the boat not told',
    ]);
    expect(screen.getByLabelText('Where New rod stands')).toHaveValue('not told');
    unmount();
    // Where nobody has told of any rod there are no groups, and no heading is left out.
    const alone = render(inUnits(<Locker boatId="boat" isWhole rigs={[rigSummary(tested())]} />));
    expect(screen.getAllByRole('heading').map(({ tagName }) => tagName)).toEqual(['H2']);
    alone.unmount();
    render(inUnits(<Locker boatId="boat" isWhole={false} rigs={[]} />)).unmount();
    render(inUnits(<Locker boatId="boat" isWhole rigs={[]} />));
    expect(screen.getByRole('link', { name: /Put a reel and a line on record/ })).toHaveAttribute(
      'href',
      '/boats/boat/gear',
    );
  });
});
