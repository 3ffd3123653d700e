import { configure, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { RigRecord } from '@/core/record/record';
import { answerDepth, depthCurves } from '@/core/tow/answerDepth';
import { USUAL_TOW } from '@/core/rig/tow/towedRig';
import { RodCard } from '@/components/cards/RodCard';
import { plannedRig, waterMark, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { DepthStation } from './DepthStation';

// There are no workers here: what they do is done at once.
jest.mock('comlink', () => ({
  wrap: () => ({
    answer: (question: never) => Promise.resolve(answerDepth(question)),
    curves: (question: never, answer: never) => Promise.resolve(depthCurves(question, answer)),
  }),
}));

// The curves of a depth take a second here, and stand in the way of its drawing.
configure({ asyncUtilTimeout: 15_000 });

const sent: { url: string; body: unknown }[] = [];
const before = globalThis.Worker;
beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.Worker = jest.fn(() => ({ terminate: () => undefined })) as unknown as typeof Worker;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ done: true }) } as Response);
  }) as unknown as typeof fetch;
});
afterAll(() => {
  globalThis.Worker = before;
});

const towed = { ...USUAL_TOW };
const mark = waterMark;
const shown = (over: Partial<RigRecord> = {}) => renderRig({ ...woundRig(), ...over }, <DepthStation />);
const card = (name: string) => within(screen.getByRole('region', { name }));

describe('the Depth station', () => {
  it('says that a line is needed first', () => {
    renderRig({ ...plannedRig(), segments: [] }, <DepthStation />);
    expect(screen.getByRole('link', { name: 'Plan the line first' })).toBeInTheDocument();
  });

  it('answers at once from what is usual, says so, and names the mark that would narrow it', async () => {
    shown();
    const answer = card('How deep it swims');
    // How deep, and how far behind the tip.
    expect(await answer.findAllByText(/^[\d.]+ ± [\d.]+ m$/)).toHaveLength(2);
    expect(answer.getByText(/No depth was seen with it yet; the ± comes mostly from/)).toBeInTheDocument();
    expect(await answer.findByText(/touch bottom, or take a mark, with .* out on .*, 5 min/)).toBeInTheDocument();
    fireEvent.click(answer.getByRole('button', { name: /Other ways/ }));
    expect(answer.getAllByRole('button', { name: 'Measure it', hidden: true }).length).toBeGreaterThan(1);
    expect(answer.getByText(/, a default/)).toBeInTheDocument();
  });

  it('turns a wanted depth into the reading to stop at, at the rail too', async () => {
    shown({ towed });
    fireEvent.change(screen.getByRole('textbox', { name: 'How deep' }), { target: { value: '5' } });
    const answer = card('Where to stop');
    // Until it is worked out, what stands there is the answer before it, whole.
    expect(screen.queryByText(/^± [\d.]+ on the counter$/)).toBeNull();
    expect(await answer.findByText(/^± [\d.]+ on the counter$/)).toBeInTheDocument();
    const reading = answer.getByText(/^\d+$/).textContent ?? '';
    fireEvent.click(answer.getByRole('button', { name: 'At the rail' }));
    expect(screen.getByTestId('stop-reading')).toHaveTextContent(reading);
    fireEvent.keyDown(screen.getByTestId('stop-reading'), { key: 'Escape' });
    await waitFor(() => expect(screen.queryByTestId('stop-reading')).not.toBeInTheDocument());
  });

  it('tells a line without a counter by its colours', async () => {
    const rig = woundRig();
    shown({ towed, reel: { ...rig.reel, counter: null } });
    fireEvent.change(screen.getByRole('textbox', { name: 'How deep' }), { target: { value: '5' } });
    expect(await card('Where to stop').findByText(/colours? out/)).toBeInTheDocument();
  });

  it('says how deep all line goes where a depth is beyond it', async () => {
    shown({ towed });
    fireEvent.change(screen.getByRole('textbox', { name: 'How deep' }), { target: { value: '250' } });
    expect(await screen.findByText(/^Not with the .* that may be out: they bring it/)).toBeInTheDocument();
  });

  it('makes up no dive of a planer, and warns of a current that nobody knows', async () => {
    const { unmount } = shown({ towed: { ...towed, lure: 'planer' } });
    expect(screen.getByText(/Its depth is not known: a planer dives as its own board/)).toBeInTheDocument();
    expect(screen.queryByRole('img', { name: /out it swims/ })).not.toBeInTheDocument();
    unmount();
    shown({ towed: { ...towed, speedBy: 'over the ground' } });
    expect(await screen.findByText(/The speed is over the ground and the current is not known/)).toBeInTheDocument();
  });

  it('notes a depth that was seen with the line, lure and speed at hand', async () => {
    shown({ towed });
    fireEvent.click(screen.getByRole('button', { name: 'Note a depth that you see' }));
    const form = card('How deep it swims');
    fireEvent.change(form.getByRole('textbox', { name: 'Counter shows' }), { target: { value: '48' } });
    fireEvent.change(form.getByRole('textbox', { name: 'How deep there' }), { target: { value: '6.5' } });
    fireEvent.click(form.getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: expect.stringContaining('/water-marks'),
      body: { kind: 'bottom', reading: 48, laps: 0, lengthOutM: null, depthM: 6.5, lure: 'spoon', turn: 'straight' },
    });
  });

  it('shows what each entry of the log teaches, and which one the others contradict', async () => {
    const marks = [
      ...[30, 50, 70].map((lengthOutM, index) => mark({ id: `m${index}`, lengthOutM, depthM: 2.6 + 1.9 * index })),
      mark({ id: 'turn', turn: 'inside' }),
      mark({ id: 'ledge', lengthOutM: 70, depthM: 25 }),
    ];
    shown({ towed, waterMarks: marks });
    fireEvent.click(screen.getByRole('button', { name: /^The water log/ }));
    const log = card('The water log');
    expect(log.getByText(/in a turn a line swims deeper or shallower/)).toBeInTheDocument();
    expect(await log.findByText(/SDs deeper than the others have it/)).toBeInTheDocument();
    fireEvent.click(log.getAllByRole('button', { name: 'Take it back' })[0] as HTMLElement);
    fireEvent.click(log.getByRole('button', { name: 'Yes' }));
    await waitFor(() => expect(sent[0]?.body).toMatchObject({ kind: 'waterMark', id: 'ledge' }));
  });

  it('holds rule of thumb, own rule, physics and marks side by side', async () => {
    shown({ towed: { ...towed, rule: { perColourM: 1.3, otherwiseM: -0.5 } }, waterMarks: [mark()] });
    await screen.findByRole('img', { name: /out it swims/ });
    fireEvent.click(screen.getByRole('button', { name: /^What else says so/ }));
    const rows = card('What else says so').getAllByRole('row');
    expect(rows.map((row) => row.textContent)).toEqual([
      expect.stringMatching(/^Rule of thumb, common practice[\d.]+ m to [\d.]+ m/),
      expect.stringMatching(/^Your own rule[\d.]+ m/),
      expect.stringMatching(/^Physics of this line alone[\d.]+ ± [\d.]+ m/),
      expect.stringMatching(/^Tuned to 1 seen[\d.]+ ± [\d.]+ m/),
    ]);
  });

  it('says how long a top shot keeps the lure back, and keeps how it is towed', async () => {
    shown({ towed });
    await screen.findByRole('img', { name: /out it swims/ });
    fireEvent.click(screen.getByRole('button', { name: /^How long a top shot/ }));
    expect(screen.getByText(/^A top shot of/)).toHaveTextContent(
      /A top shot of [\d.]+ m does it; Top shot is 60\.0 m long/,
    );
    fireEvent.click(screen.getByRole('button', { name: /^How it is towed/ }));
    const form = card('How it is towed');
    fireEvent.change(form.getByRole('textbox', { name: 'Speed, kn' }), { target: { value: 'fast' } });
    fireEvent.click(form.getByRole('button', { name: 'Keep it' }));
    expect(sent).toEqual([]);
    fireEvent.change(form.getByRole('textbox', { name: 'Speed, kn' }), { target: { value: '2' } });
    fireEvent.click(form.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ speedMS: expect.closeTo(1.0289, 3), lure: 'spoon', rule: null });
  });
});

describe('the card of a rod that is towed', () => {
  it('has the depth at three speeds beside the reading, and says what it rests on', async () => {
    renderRig({ ...woundRig(), towed }, <RodCard />);
    const sheet = await screen.findByRole('img', { name: /^Card of/ });
    await waitFor(() => expect(sheet.textContent).toMatch(/1\.6 kn1\.9 kn2\.3 kn/));
    // Deepest slowly, and each with its ±.
    const rows = [...sheet.querySelectorAll('g')].map((row) =>
      [...row.querySelectorAll('text')].map((cell) => cell.textContent),
    );
    const deep =
      rows
        .at(-2)
        ?.slice(3, 6)
        .map((cell) => Number(/^([\d.]+)±[\d.]+$/.exec(cell)?.[1])) ?? [];
    expect(deep).toHaveLength(3);
    expect(deep).toEqual(deep.toSorted((a, b) => b - a));
    expect(sheet.textContent).toMatch(/Under the knots: how deep, in m, with spoon/);
    expect(sheet.textContent).toMatch(/by\s*physics alone: no depth\s*was seen yet/);
    expect(sheet.textContent).toMatch(/0\.1 kn faster is [\d.]+ m shallower/);
  });
});
