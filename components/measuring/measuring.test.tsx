import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { RigRecord } from '@/core/record/record';
import type { MeasureOption } from '@/core/worth/measureNext';
import type { NamedFigure } from '@/core/rig/worth/rigFigure';
import { weighRig } from '@/core/rig/worth/weighFigures';
import { rigView } from '@/core/rig/view/rigView';
import type { FigureKind } from '@/core/worth/enough';
import { USUAL_TOW } from '@/core/rig/tow/towedRig';
import { known } from '../../tests/believedLoad';
import { plannedRig, pulls, trial, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import type { MeasuringPage } from '@/usecases/rigs/measuring';
import { CountStation } from '../count/CountStation';
import { LoadStation } from '../load/LoadStation';
import { StrengthStation } from '../strength/StrengthStation';
import { Toasts } from '../ui/Toasts';
import { UnitsProvider } from '../units/UnitsProvider';
import { MeasureEntry } from './MeasureEntry';
import { WordsProvider } from '../units/WordsProvider';
import { BoatNext } from '../worth/BoatNext';

// There are no workers here: what they do is done at once.
jest.mock('comlink', () => ({
  wrap: () => ({
    weigh: (record: RigRecord, kinds: readonly FigureKind[]) => {
      const view = rigView(record);
      return Promise.resolve(view && weighRig(view, kinds));
    },
  }),
}));

const before = globalThis.Worker;
const sent: { url: string; body: unknown }[] = [];

beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.Worker = jest.fn(() => ({ terminate: () => undefined })) as unknown as typeof Worker;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ id: 'x' }) } as Response);
  }) as unknown as typeof fetch;
});

afterAll(() => {
  globalThis.Worker = before;
});

/** The rig with its backing known by its label only. */
function labelled(rig: RigRecord = plannedRig()): RigRecord {
  const products = rig.products.map((product) =>
    product.id === 'nylon'
      ? { ...product, diameterM: { ...known(0.00045, 0.063), source: 'label' as const } }
      : product,
  );
  return { ...rig, products };
}

const nextFor = (name: RegExp) => screen.findByRole('region', { name });
const begin = (region: HTMLElement): void =>
  void fireEvent.click(within(region).getAllByRole('button', { name: 'Measure it' })[0] as HTMLElement);

describe('where a figure stands', () => {
  it('says what would narrow it most for its minutes, with the ± now and after, and begins it with one press', async () => {
    renderRig(labelled(), <LoadStation />);
    const region = await nextFor(/Measure next for the length of Backing/);
    expect(region).toHaveTextContent(/put a caliper on nylon line: ± \d+ m → ± \d+ m, 2 min/);
    begin(region);
    const dialog = await screen.findByRole('dialog', { name: /put a caliper on nylon line/ });
    expect(dialog).toHaveTextContent(/it should bring the length of Backing from ± \d+ m to ± \d+ m/);
    expect(dialog).toHaveTextContent(/Read it at five places/);
    fireEvent.change(await within(dialog).findByLabelText(/Readings in mm/), { target: { value: '0,44 0.45 0.46' } });
    await waitFor(() => expect(dialog).toHaveTextContent(/That is 0\.45 mm ± 0\.02 mm/));
    expect(dialog).not.toHaveTextContent(/far from what it was taken for/);
    // Twice as thick is a slip of the hand: it is asked about before it is kept.
    const readings = within(dialog).getByLabelText(/Readings in mm/);
    fireEvent.change(readings, { target: { value: '0.90 0.90' } });
    expect(await within(dialog).findByRole('alert')).toHaveTextContent(/far from what it was taken for/);
    fireEvent.change(readings, { target: { value: '0,44 0.45 0.46' } });
    await waitFor(() => expect(dialog).not.toHaveTextContent(/far from what it was taken for/));
    await act(async () => {
      fireEvent.click(within(dialog).getByRole('button', { name: 'Keep this thickness' }));
      await Promise.resolve();
    });
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/lines/nylon/measured',
      body: {
        version: 1,
        read: {
          way: 'caliper',
          readingsM: [0.00044, 0.00045, 0.00046].map((each) => expect.closeTo(each, 9) as number),
        },
      },
    });
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  it('gives rods with other evidence another order', async () => {
    const first = async (rig: RigRecord): Promise<string | null> => {
      const { unmount } = renderRig(rig, <CountStation />);
      const region = await nextFor(/Measure next for the counter/);
      const said = within(region).getAllByRole('button', { name: 'Measure it' })[0]?.parentElement?.textContent ?? null;
      unmount();
      return said;
    };
    const unlogged = (rig: RigRecord): RigRecord => ({
      ...rig,
      load: rig.load && { ...rig.load, winding: rig.load.winding.map((stop) => ({ ...stop, reading: null })) },
    });
    const unread = unlogged(woundRig({ levelBelowRimM: null }));
    const levelled = unlogged(woundRig());
    expect(await first(unread)).toMatch(/read the level/);
    expect(await first(levelled)).not.toMatch(/read the level/);
  });

  it('says when more measuring is not worth it, and why', async () => {
    const near = {
      ...woundRig(),
      workingRange: { fromM: 10, toM: 25 },
      trials: [trial(30), trial(60, 60, '2026-03-02T11:00:00.000Z')],
    };
    renderRig(near, <CountStation />);
    expect(await nextFor(/Measure next for the counter/)).toHaveTextContent(
      /The counter at \d+\.\d m: ± 0\.\d+ count.*not worth it: less than one count cannot be read off/i,
    );
  });

  it('says first what has to be answered', async () => {
    renderRig({ ...woundRig(), openTrials: [{ ...trial(18), heldOut: true }] }, <CountStation />);
    expect(await screen.findByText(/A walk is asked about: answer that first/)).toBeVisible();
    expect(screen.queryByRole('region', { name: /Measure next/ })).toBeNull();
  });

  it('stands before a figure that its ± makes useless', async () => {
    const rig = labelled();
    const vague = { ...rig.reel, arborDiameterM: known(0.0314, 0.1), fullDiameterM: known(0.0618, 0.08) };
    renderRig({ ...rig, reel: vague }, <LoadStation />);
    const first = screen.getByText('Known too little to act by: measure first.');
    const figure = screen.getByText(/^\d+ ± \d+ m$/, { selector: 'p' });
    expect(first.compareDocumentPosition(figure) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    const region = await nextFor(/Measure next for the length of Backing/);
    expect(region.compareDocumentPosition(figure) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  });

  it('asks for pulls of what the weakest place’s ± comes from, with the caution there', async () => {
    renderRig({ ...woundRig(), strengthTests: [pulls('lead', [80, 82, 78])] }, <StrengthStation />);
    const region = await nextFor(/Measure next for what .* holds/);
    begin(region);
    const dialog = await screen.findByRole('dialog', { name: /to the break 3 times/ });
    expect(dialog).toHaveTextContent(/Eyes covered/);
    expect(
      await within(dialog).findByText(/Plan this session and begin|Record this break|Keep this break/),
    ).toBeVisible();
  });
});

describe('the list of a boat', () => {
  const figure: NamedFigure = {
    ...{ id: 'one length Backing', rigId: 'one', rigName: 'Port rod', kind: 'length', of: 'Backing', atM: null },
    ...{ value: 120, plusMinus: 24, enough: 1.2, because: 'decision' },
  };
  const step: MeasureOption = {
    ...{ kind: 'line-caliper', of: 'nylon', name: 'Nylon 0.45', atM: null, minutes: 2, gain: 0.6, gainPerMinute: 0.3 },
    narrows: [
      { figureId: figure.id, plusMinus: 24, plusMinusAfter: 9 },
      { figureId: 'two length Backing', plusMinus: 30, plusMinusAfter: 11 },
    ],
  };
  const page: MeasuringPage = {
    ...{
      total: 2,
      page: 1,
      pages: 1,
      minutes: [{ kind: 'walk' as const, minutes: 7, from: 'log' as const }],
      first: [],
    },
    figures: [figure, { ...figure, id: 'two length Backing', rigId: 'two', rigName: 'Starboard rod' }],
    options: [step],
    set: { steps: [step], minutes: 2, figures: [] },
  };
  const show = (change: Partial<MeasuringPage> = {}) =>
    render(
      <UnitsProvider initial={{ length: 'm', smallLength: 'mm', force: 'kg' }}>
        <WordsProvider>
          <Toasts>
            <BoatNext boatId="boat" measuring={{ ...page, ...change }} timeMinutes={30} />
          </Toasts>
        </WordsProvider>
      </UnitsProvider>,
    );

  it('says what teaches several rods, what each is known to after it, and leads to where it is begun', () => {
    show();
    const set = within(screen.getByRole('region', { name: '30 min at the bench' }));
    expect(set.getByText(/2 min, teaches 2 rods/)).toBeVisible();
    expect(set.getByText(/Port rod/).closest('li')).toHaveTextContent(/the length of Backing: ± 24 m → ± 9\.0 m/);
    expect(set.getByRole('link', { name: 'Measure it' })).toHaveAttribute(
      'href',
      '/boats/boat/rigs/one/load?measure=line-caliper%20nylon',
    );
    expect(set.getByRole('link', { name: '10 min' })).toHaveAttribute('href', '/boats/boat/measure?minutes=10');
  });

  it('keeps apart what wants the boat under way', () => {
    const mark: MeasureOption = { ...step, kind: 'water-mark', of: 'one', name: 'Port rod', atM: 60 };
    show({ options: [step, mark] });
    const afloat = within(screen.getByRole('region', { name: 'Next time on the water' }));
    expect(afloat.getByText(/Touch bottom, or take a mark, with 60.0 m out on Port rod/i)).toBeVisible();
    expect(screen.getByRole('button', { name: /^All that is worth measuring ashore/ })).toHaveTextContent(
      /1, the best/,
    );
  });

  it('says so where it is of some of the rods only, and stays on that page', () => {
    show({ page: 2, pages: 3, total: 60 });
    expect(screen.getByText(/This list is of the rods on this page, 2 of 3/)).toBeVisible();
    expect(screen.getByRole('link', { name: '10 min' })).toHaveAttribute(
      'href',
      '/boats/boat/measure?minutes=10&page=2',
    );
  });

  it('says that all is known well enough, and shows whose minutes it reckons with', async () => {
    show({ options: [], set: { steps: [], minutes: 0, figures: [] }, figures: [{ ...figure, plusMinus: 1 }] });
    expect(screen.getByText(/Every figure of 1 is known well enough/)).toBeVisible();
    fireEvent.click(screen.getByRole('button', { name: /How long measurements take you/ }));
    expect(await screen.findByText('7 min by your own log')).toBeVisible();
    fireEvent.change(screen.getByLabelText('a level'), { target: { value: '3' } });
    await act(async () => {
      fireEvent.click(screen.getByRole('button', { name: 'Keep these times' }));
      await Promise.resolve();
    });
    expect(sent[0]).toMatchObject({ url: '/api/boats/boat/measuring-minutes', body: { minutes: { level: 3 } } });
  });
});

describe('what would narrow a depth', () => {
  const options = (kind: MeasureOption['kind'], of: string): MeasureOption => ({
    ...{ kind, of, name: 'Rod', atM: null, minutes: 4, narrows: [], gain: 0.2, gainPerMinute: 0.05 },
  });
  const entry = (option: MeasureOption, over: Partial<RigRecord> = {}) => {
    const onDone = jest.fn();
    renderRig({ ...woundRig(), ...over }, <MeasureEntry option={option} wraps={0} onDone={onDone} />);
    return onDone;
  };
  const keep = (name: string): Promise<void> =>
    act(async () => {
      fireEvent.click(screen.getByRole('button', { name }));
    });

  it('the lure on a scale is kept of that lure at that speed, and nothing else is sent', async () => {
    const onDone = entry(options('lure-pull', 'rig'), { towed: { ...USUAL_TOW, lure: 'deep plug', bottomM: 21 } });
    await keep('Keep this pull');
    // The form library moves the focus in a turn of its own.
    await waitFor(() => expect(screen.getByLabelText(/The scale shows/)).toHaveFocus());
    fireEvent.change(screen.getByLabelText(/The scale shows/), { target: { value: '1.4' } });
    await keep('Keep this pull');
    expect(sent[0]?.url).toMatch(/lure-pull$/);
    expect(sent[0]?.body).toEqual({
      ...{ lure: 'deep plug', speedMS: USUAL_TOW.speedMS },
      lurePullN: expect.any(Number) as number,
    });
    expect(onDone).toHaveBeenCalled();
  });

  it('asks first how a rig is towed of which nobody has said', () => {
    entry(options('lure-pull', 'rig'));
    expect(screen.getByText(/Say first how it is towed/)).toBeInTheDocument();
  });

  it('ten metres on a scale become the weight of a metre', async () => {
    const [line] = woundRig().products;
    const onDone = entry(options('ten-metres', line?.id ?? ''));
    fireEvent.change(screen.getByLabelText('Ten metres of it weigh, g'), { target: { value: '17.2' } });
    await keep('Keep this weight');
    expect(sent[0]?.body).toEqual({
      version: line?.version,
      read: { way: 'weighed', massKgPerM: expect.closeTo(0.00172, 9) as number },
    });
    expect(onDone).toHaveBeenCalled();
  });

  it('a depth that is seen goes into the water log', async () => {
    const onDone = entry(options('water-mark', 'rig'));
    fireEvent.change(screen.getByLabelText(/How deep there/), { target: { value: '8' } });
    fireEvent.change(screen.getByLabelText('Counter shows'), { target: { value: '142' } });
    await keep('Note it');
    expect(sent[0]?.body).toMatchObject({ kind: 'bottom', depthM: 8, reading: 142 });
    expect(onDone).toHaveBeenCalled();
  });
});
