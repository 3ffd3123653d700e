import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { OwnFigure } from '../../core/joins/ownFigures';
import { schoolsOf } from '../../core/joins/schools';
import type { RigRecord } from '../../core/record/record';
import { plannedRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { JoinsStation } from './JoinsStation';
import type { Drill, WindOn } from './joinsBench';

const sent: { url: string; method: string; body: unknown }[] = [];

beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, method: init.method ?? '', body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ done: true }) } as Response);
  }) as unknown as typeof fetch;
});

const NOW = Date.parse('2026-04-10T10:00:00.000Z');
const people = [{ id: 'lefty', name: 'Left of two', hand: 'left' as const }];

function show(
  record: RigRecord = plannedRig(),
  drills: readonly Drill[] = [],
  windOns: readonly WindOn[] = [],
  own: readonly OwnFigure[] = [],
) {
  return renderRig(
    record,
    <JoinsStation
      people={people}
      crew={{ tested: { 'sheath-over-mono': { value: 0.91, sd: 0.02, source: 'measured' } }, tied: {} }}
      ownFigures={own}
      drills={drills}
      windOns={windOns}
      now={NOW}
    />,
  );
}

const guide = () => within(screen.getByRole('region', { name: /^Tie: / }));
const pick = (name: RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));

describe('the joins of a rig', () => {
  it('stand in the order of tying, each with how it is', () => {
    const rig = plannedRig();
    const lastTie = {
      id: 't',
      school: 'sheath-single',
      seatedN: 30,
      pullTested: true,
      person: 'Left of two',
      note: '',
      hasPhoto: false,
      drags: 0,
      fish: 0,
      at: '2026-04-01T10:00:00.000Z',
    };
    show({ ...rig, joins: rig.joins.map((join) => (join.id === 'j2' ? { ...join, lastTie } : join)) });
    const list = screen.getByRole('button', { name: /^the arbor to Backing/ }).closest('ol') ?? document.body;
    const rows = within(list)
      .getAllByRole('button', { pressed: false })
      .map((row) => row.textContent);
    expect(rows.at(-1)).toMatch(
      /Lead core to Top shot.*tied and pulled.*9 days ago by Left of two, seated with 3\.06 kg/,
    );
    expect(screen.getByRole('button', { name: /^the arbor to Backing/ })).toHaveTextContent('not noted as tied');
  });

  it('are tied step by step, with figures for these lines, and never without the pull', async () => {
    show();
    pick(/^Backing to Lead core/);
    const boxes = guide().getAllByRole('checkbox').slice(0, -1);
    expect(guide().getByText(/Bare the lead/)).toHaveTextContent(/100 mm to 150 mm/);
    expect(guide().getByText(/Seating pull: .* kg to .* kg/)).toBeInTheDocument();
    expect(boxes[1]).toBeDisabled();
    const note = guide().getByRole('button', { name: 'Note it as tied' });
    for (const box of boxes) {
      expect(note).toBeDisabled();
      fireEvent.click(box);
    }
    expect(note).toBeEnabled();
    fireEvent.click(note);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/rigs/rig/joins/j1/ties',
      body: { school: 'sheath-single', stepsDone: schoolsOf('sheath-over-mono')[0]?.steps.map((step) => step.id) },
    });
  });

  it('lose every later step when one is taken back, and every step with another school', () => {
    show();
    pick(/^Backing to Lead core/);
    const box = (index: number): HTMLElement => guide().getAllByRole('checkbox')[index] ?? document.body;
    for (const index of [0, 1, 2]) fireEvent.click(box(index));
    fireEvent.click(box(0));
    expect(box(2)).not.toBeChecked();
    fireEvent.click(box(0));
    fireEvent.change(guide().getByLabelText('School'), { target: { value: 'sheath-double' } });
    expect(box(0)).not.toBeChecked();
  });

  it('keep every tick, the hand and the pull over a reload', async () => {
    const first = show();
    pick(/^Backing to Lead core/);
    const box = (index: number): HTMLElement => guide().getAllByRole('checkbox')[index] ?? document.body;
    for (const index of [0, 1]) fireEvent.click(box(index));
    fireEvent.change(guide().getByLabelText('Seated with'), { target: { value: '3 kg' } });
    await waitFor(() => expect(box(1)).toBeChecked());
    first.unmount();
    show();
    pick(/^Backing to Lead core/);
    await waitFor(() => expect(box(1)).toBeChecked());
    expect(box(2)).not.toBeChecked();
    expect(guide().getByLabelText('Seated with')).toHaveValue('3 kg');
  });

  it('are tied at arm’s length: space, U, Escape', () => {
    show();
    fireEvent.click(guide().getByRole('button', { name: 'Bench mode' }));
    const bench = screen.getByRole('dialog');
    expect(bench).toHaveTextContent('step 1 of 7');
    fireEvent.keyDown(bench, { key: ' ' });
    fireEvent.keyDown(bench, { key: ' ' });
    expect(bench).toHaveTextContent('step 3 of 7');
    fireEvent.keyDown(bench, { key: 'u' });
    expect(bench).toHaveTextContent('step 2 of 7');
    fireEvent.keyDown(bench, { key: 'Escape' });
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(guide().getAllByRole('checkbox')[0]).toBeChecked();
  });

  it('pulled to the break say what share they keep, against a default until then', async () => {
    show();
    pick(/^Lead core to Top shot/);
    const card = within(screen.getByRole('region', { name: /^Pulled to the break: Lead core/ }));
    expect(card.getByText(/by 3 breaks/)).toHaveTextContent(/90 % ± \d+ %/);
    pick(/^Backing to Lead core/);
    const other = within(screen.getByRole('region', { name: /^Pulled to the break: Backing/ }));
    expect(other.getByText(/a default until 3 more samples of it are broken/)).toBeInTheDocument();
    fireEvent.click(other.getByRole('button', { name: /^Pulled to the break/ }));
    fireEvent.change(await other.findByLabelText('Broke at a force of'), { target: { value: '60 N' } });
    fireEvent.click(other.getByRole('button', { name: 'Record this break' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/rigs/rig/joins/j1/pulls',
      body: { peakN: 60, brokeAt: 'join' },
    });
  });

  it('can be another kind, with reasons for and against', async () => {
    show();
    pick(/^Lead core to Top shot/);
    pick(/^What else would join/);
    const chooser = within(screen.getByRole('region', { name: 'What else would join these' }));
    expect(chooser.getByText(/keeps 91 % ± 4 % of the weaker line, tested on this boat/)).toBeInTheDocument();
    expect(chooser.getByText(/it needs hollow braid to slide over the other line/)).toBeInTheDocument();
    fireEvent.click(chooser.getAllByRole('button', { name: 'Use this one' })[0] ?? document.body);
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      ...{ method: 'PUT', url: '/api/boats/boat/rigs/rig/joins/j2' },
      body: { kind: 'double-sliding-knot', inner: null, outer: null },
    });
  });

  it('have the crew’s own figures in the place of the school’s, and go back to them', async () => {
    const ours = { school: 'sheath-single', step: 'strip', least: 0.2, most: 0.22 };
    show(plannedRig(), [], [], [ours]);
    pick(/^Lead core to Top shot/);
    expect(guide().getByText(/Lead to bare and break off: 200 mm to 220 mm \(our own figure\)/)).toBeInTheDocument();
    fireEvent.click(guide().getByText('Our own figures: 1'));
    fireEvent.change(await guide().findByLabelText('Step'), { target: { value: 'trim' } });
    fireEvent.change(guide().getByLabelText('Least'), { target: { value: '2' } });
    fireEvent.change(guide().getByLabelText('Most'), { target: { value: '3' } });
    fireEvent.click(guide().getByRole('button', { name: 'Keep ours' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      ...{ method: 'POST', url: '/api/boats/boat/own-figures' },
      body: { school: 'sheath-single', step: 'trim', own: { least: 0.002, most: 0.003 } },
    });
    fireEvent.change(guide().getByLabelText('Step'), { target: { value: 'strip' } });
    fireEvent.click(guide().getByRole('button', { name: 'Back to the school’s' }));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({ body: { school: 'sheath-single', step: 'strip', own: null } });
  });

  it('are none while there is no line', () => {
    show({ ...plannedRig(), segments: [], joins: [] });
    expect(screen.getByText(/no line yet, and so no join/)).toBeInTheDocument();
  });
});

describe('the cadence trainer', () => {
  const field = () => screen.getByRole('group', { name: /^Practice field/ });
  const open = (drills: readonly Drill[] = []): void => {
    show(plannedRig(), drills);
    pick(/^Cadence of/);
  };

  it('keeps the count over an interruption, until it is begun again', () => {
    open();
    fireEvent.keyDown(field(), { key: 'ArrowLeft' });
    fireEvent.keyDown(field(), { key: 'ArrowRight' });
    expect(field()).toHaveTextContent(/Over: pass 3 of 20 to 25/);
    cleanup();
    // What was opened is open still.
    show(plannedRig());
    expect(field()).toHaveTextContent(/Over: pass 3 of 20 to 25.*Interrupted\?/);
    fireEvent.click(screen.getByRole('button', { name: 'Begin again' }));
    expect(field()).toHaveTextContent(/pass 1 of/);
  });

  it('offers a quicker count only after a clean drill, and tells a trend from chance', () => {
    const drill = (day: number, mistakes: number): Drill => ({
      ...{ person: null, school: 'plait-long', strokes: 50, mistakes, seconds: 150 - 20 * day },
      at: `2026-03-0${day + 1}T09:00:00.000Z`,
    });
    open([drill(0, 6), drill(1, 4), drill(2, 0)]);
    expect(
      screen.getByText(/A stroke takes 1\d\.\d ± .* less time each day|changes no more than chance/),
    ).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('How'), { target: { value: 'timer' } });
    // 110 s for 50 strokes are 2.2 s; a tenth less after a clean one.
    expect(screen.getByLabelText('Seconds a move')).toHaveValue('2.0');
    expect(screen.getByText('a tenth quicker: the last drill was clean')).toBeInTheDocument();
  });

  it('calls a repeated side at once, and says how to recover', () => {
    open();
    fireEvent.keyDown(field(), { key: 'ArrowLeft' });
    expect(field()).toHaveTextContent(/Under: pass 2 of 20 to 25/);
    fireEvent.keyDown(field(), { key: 'ArrowLeft' });
    expect(field()).toHaveTextContent(/Over twice.*Lift the last pass off/);
    fireEvent.keyDown(field(), { key: 'j' });
    expect(field()).toHaveTextContent(/Over: pass 3/);
    expect(screen.getByText(/3 strokes, 1 wrong/)).toBeInTheDocument();
    expect(within(field()).getByRole('img')).toHaveAccessibleName(/last of 2 passes went under/);
  });

  it('takes a whole knot and keeps the drill', async () => {
    open();
    for (let pass = 0; pass < 20; pass += 1) fireEvent.keyDown(field(), { key: pass % 2 ? 'ArrowRight' : 'ArrowLeft' });
    for (const key of ['h', 's', 'h', 'h', 'h', 'h', 'h', 'h', 't']) fireEvent.keyDown(field(), { key });
    expect(field()).toHaveTextContent('Done.');
    fireEvent.click(screen.getByRole('button', { name: 'Keep this drill' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/drills',
      body: { strokes: 29, mistakes: 0, school: 'plait-long' },
    });
  });

  it('goes on by any key when both hands are busy, and aloud', () => {
    open();
    fireEvent.change(screen.getByLabelText('How'), { target: { value: 'follow' } });
    for (const key of ['PageDown', ' ', 'b']) fireEvent.keyDown(field(), { key });
    expect(field()).toHaveTextContent(/pass 4 of 20 to 25/);
    expect(screen.getByText(/3 strokes, 0 wrong/)).toBeInTheDocument();
  });

  it('counts on its own at the person’s pace', () => {
    jest.useFakeTimers();
    open();
    fireEvent.change(screen.getByLabelText('How'), { target: { value: 'timer' } });
    fireEvent.change(screen.getByLabelText('Seconds a move'), { target: { value: '1' } });
    fireEvent.click(screen.getByRole('button', { name: 'Start counting' }));
    act(() => void jest.advanceTimersByTime(4200));
    expect(field()).toHaveTextContent(/pass 5 of 20 to 25/);
    fireEvent.click(screen.getByRole('button', { name: 'Hold' }));
    act(() => void jest.advanceTimersByTime(4200));
    expect(field()).toHaveTextContent(/pass 5 of 20 to 25/);
    jest.useRealTimers();
  });

  it('reads the next move from how the line lies, mirrored for a left hand', () => {
    open();
    expect(screen.getByText('under', { selector: 'b' })).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Whose hands'), { target: { value: 'lefty' } });
    expect(screen.getByText('over', { selector: 'b' })).toBeInTheDocument();
  });

  it('draws the drills on record', () => {
    const drill = (seconds: number, mistakes: number, at: string): Drill => ({
      person: null,
      school: 'plait-long',
      strokes: 30,
      mistakes,
      seconds,
      at,
    });
    open([drill(120, 3, '2026-04-01T10:00:00.000Z'), drill(60, 0, '2026-04-02T10:00:00.000Z')]);
    expect(
      screen.getByRole('img', { name: /2 drills; the last one took 2\.0 seconds a stroke with 0 mistakes/ }),
    ).toBeInTheDocument();
  });
});
