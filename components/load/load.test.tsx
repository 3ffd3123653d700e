import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { planForRig } from '../../core/rig/line/planForRig';
import { plannedRig, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { LoadStation } from './LoadStation';
import { PlanAnswer } from './plan/PlanAnswer';
import { RunSheet } from './plan/RunSheet';

const answers: { url: string; method: string; body: unknown }[] = [];
let reply: { status: number; json: unknown };

beforeEach(() => {
  window.localStorage.clear();
  answers.length = 0;
  reply = { status: 200, json: { version: 2, loadId: 'load' } };
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    answers.push({ url, method: init.method ?? '', body: JSON.parse(String(init.body)) });
    return Promise.resolve({
      ok: reply.status < 400,
      status: reply.status,
      json: () => Promise.resolve(reply.json),
    } as Response);
  }) as unknown as typeof fetch;
});

describe('a plan’s answer', () => {
  it('is the length with its ± and its reason', () => {
    renderRig(
      plannedRig(),
      <PlanAnswer record={plannedRig()} plan={planForRig(plannedRig(), 0.002)} levelBelowRimM={0.002} />,
    );
    expect(screen.getByText(/^\d+ ± \d+ m$/)).toBeInTheDocument();
    expect(screen.getByText(/level ends 2\.0 ± \d\.\d+ mm under the rim/)).toHaveTextContent('comes mostly from the');
  });

  it('says what does not fit, and by how much, in the person’s own unit', () => {
    const rig = plannedRig();
    const heavy = { ...rig, segments: rig.segments.map((s) => (s.id === 's1' ? { ...s, lengthM: 300 } : s)) };
    renderRig(heavy, <PlanAnswer record={heavy} plan={planForRig(heavy, 0.002)} levelBelowRimM={0.002} />, {
      length: 'ft',
      smallLength: 'mm',
      force: 'kg',
    });
    expect(screen.getByRole('alert')).toHaveTextContent(/It would just fit.*769 ft less of Lead core, of 984 ft/);
    // 197 ft of top shot cannot give it.
    expect(screen.getByRole('alert')).not.toHaveTextContent(/less of Top shot/);
  });

  it('foretells the level when every length is given', () => {
    const rig = plannedRig();
    const given = { ...rig, segments: rig.segments.map((s) => ({ ...s, lengthM: s.lengthM ?? 200 })) };
    renderRig(given, <PlanAnswer record={given} plan={planForRig(given, 0.002)} levelBelowRimM={0.002} />);
    expect(screen.getByText(/Every length is given/)).toHaveTextContent(/above the rim\. That is overfull/);
  });
});

describe('the run sheet', () => {
  it('gives the stop and the naive figure side by side, and turns where there is no counter', () => {
    const plan = planForRig(plannedRig(), 0.002);
    if (!plan.ok) throw new Error(plan.reason);
    const { unmount } = renderRig(plannedRig(), <RunSheet record={plannedRig()} plan={plan.value} />);
    const backing = screen.getByRole('row', { name: /Backing/ });
    expect(within(backing).getByText(String(plan.value.segments[0]?.naiveStopReading))).toBeInTheDocument();
    expect(backing).toHaveTextContent(String(plan.value.segments[0]?.stopReading));
    unmount();
    const bare = { ...plannedRig(), reel: { ...plannedRig().reel, counter: null } };
    const turns = planForRig(bare, 0.002);
    if (!turns.ok) throw new Error(turns.reason);
    renderRig(bare, <RunSheet record={bare} plan={turns.value} />);
    expect(screen.getByText('spool turns')).toBeInTheDocument();
    expect(screen.queryByText('stop at')).toBeNull();
  });
});

describe('the Load station', () => {
  it('stores a changed plan with the version that was seen, then takes it to the bench', async () => {
    renderRig(plannedRig(), <LoadStation />);
    const top = screen.getAllByLabelText('Length').at(-1);
    if (!top) throw new Error('there is no length to change');
    fireEvent.change(top, { target: { value: '200 ft' } });
    fireEvent.click(screen.getByRole('button', { name: 'Take it to the bench' }));
    await waitFor(() => expect(answers).toHaveLength(2));
    expect(answers[0]).toMatchObject({ method: 'PUT', url: '/api/boats/boat/rigs/rig/stack', body: { version: 1 } });
    const body = answers[0]?.body as { segments: { lengthM: number | null }[]; joins: unknown[] };
    expect(body.segments.map((segment) => segment.lengthM)).toEqual([null, 27.432, expect.closeTo(60.96, 9)]);
    expect(body.joins).toHaveLength(3);
    expect(answers[1]).toMatchObject({
      method: 'POST',
      url: '/api/boats/boat/rigs/rig/loads',
      body: { version: 2, levelBelowRimM: 0.002 },
    });
  });

  it('keeps what was typed when the server refuses, and says why', async () => {
    reply = {
      status: 422,
      json: {
        error: { message: 'This stack cannot fit.', fields: [{ path: 'segments', message: 'This stack cannot fit.' }] },
      },
    };
    renderRig(plannedRig(), <LoadStation />);
    const top = screen.getAllByLabelText('Length').at(-1);
    if (!top) throw new Error('there is no length to change');
    fireEvent.change(top, { target: { value: '70' } });
    fireEvent.click(screen.getByRole('button', { name: 'Store the plan' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('This stack cannot fit.');
    expect(screen.getAllByLabelText('Length').at(-1)).toHaveValue('70');
    expect(window.localStorage.getItem('draft:stack:rig')).toContain('"70"');
  });

  it('survives a lost connection with a sentence', async () => {
    globalThis.fetch = jest.fn(() => Promise.reject(new TypeError('offline'))) as unknown as typeof fetch;
    renderRig(plannedRig(), <LoadStation />);
    fireEvent.click(screen.getByRole('button', { name: 'Take it to the bench' }));
    expect((await screen.findAllByText(/The server cannot be reached/)).length).toBeGreaterThan(0);
  });

  it('winds: refuses what is no reading, and asks which length is on before it notes one that says another', async () => {
    const winding = woundRig({
      status: 'winding',
      finishedAt: null,
      levelBelowRimM: null,
      winding: woundRig().load?.winding.slice(0, 1) ?? [],
    });
    renderRig(winding, <LoadStation />);
    expect(screen.getByRole('heading', { name: 'Wind on: Lead core' })).toBeInTheDocument();
    expect(screen.getByText('Tie: sheath over mono, overhand to Backing.')).toBeInTheDocument();
    const field = screen.getByLabelText('Counter reads');
    fireEvent.change(field, { target: { value: '9x' } });
    expect(screen.getByRole('alert')).toHaveTextContent('whole numbers only');
    expect(screen.getByRole('button', { name: 'Note this reading' })).toBeDisabled();
    fireEvent.change(field, { target: { value: '988' } });
    const asked = within(screen.getByRole('group', { name: 'Which length is on?' }));
    expect(asked.getByRole('status')).toHaveTextContent(/counts short of the stop.*27\.4 m were typed/);
    expect(screen.queryByRole('button', { name: 'Note this reading' })).toBeNull();
    expect(asked.getByRole('button', { name: /^All 27\.4 m/ })).toBeEnabled();
    fireEvent.click(asked.getByRole('button', { name: /^27\.4 m becomes/ }));
    await waitFor(() => expect(answers).toHaveLength(1));
    expect(answers[0]).toMatchObject({
      url: '/api/boats/boat/rigs/rig/loads/load/winding',
      body: { segmentId: 's1', reading: 988, lengthIs: 'counter', instrument: 'read by eye' },
    });
  });

  it('in bench mode takes digits, arrows and space, and leaves by Escape', async () => {
    const winding = woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null, winding: [] });
    renderRig(winding, <LoadStation />);
    fireEvent.click(screen.getByRole('button', { name: 'Bench mode' }));
    const bench = screen.getByRole('dialog');
    const press = (key: string): void => void fireEvent.keyDown(bench, { key });
    for (const key of ['8', '4', '4', '5']) press(key);
    // Three digits, the last three typed.
    expect(screen.getByTestId('bench-reading')).toHaveTextContent('445');
    press('Backspace');
    expect(screen.getByTestId('bench-reading')).toHaveTextContent('044');
    press('ArrowUp');
    press('ArrowDown');
    press('ArrowDown');
    expect(screen.getByTestId('bench-reading')).toHaveTextContent('043');
    press(' ');
    await waitFor(() => expect(answers).toHaveLength(1));
    expect(answers[0]).toMatchObject({ body: { reading: 43, segmentId: 's0' } });
    press('Escape');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('asks for the level when all is on, and can do without', async () => {
    renderRig(woundRig({ status: 'winding', finishedAt: null, levelBelowRimM: null }), <LoadStation />);
    expect(screen.getByRole('button', { name: 'Finish this load' })).toBeDisabled();
    fireEvent.change(screen.getByLabelText('Level under the rim'), { target: { value: '2.4' } });
    fireEvent.click(screen.getByRole('button', { name: 'Finish this load' }));
    await waitFor(() => expect(answers).toHaveLength(1));
    expect(answers[0]).toMatchObject({
      url: expect.stringContaining('/finish'),
      body: { version: 2, levelBelowRimM: expect.closeTo(0.0024, 9) },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Finish without measuring' }));
    await waitFor(() => expect(answers).toHaveLength(2));
    expect(answers[1]).toMatchObject({ body: { levelBelowRimM: null } });
  });

  it('shows a finished load, its packing and what was lost', () => {
    const change = {
      id: 'c',
      segmentId: 's2',
      changeM: -14,
      reason: 'lost' as const,
      note: 'Broken off on a wreck.',
      at: '2026-03-02T10:00:00.000Z',
    };
    renderRig(woundRig({ levelBelowRimM: 0.003, changes: [change] }), <LoadStation />);
    expect(screen.getByText(/packs \d+ % tighter than believed/)).toBeInTheDocument();
    expect(screen.getByText(/Top shot: 14\.0 m lost/)).toHaveTextContent('Broken off on a wreck.');
    fireEvent.click(screen.getByRole('button', { name: 'Plan a new load' }));
    expect(screen.getByRole('button', { name: 'Take it to the bench' })).toBeEnabled();
  });
});
