import { because } from '@/core/reasons';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { LeverPointRecord, PlanerLookRecord, PresetActRecord, RigRecord } from '../../core/record/record';
import { pulls, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { DragStation } from './DragStation';

const sent: { url: string; body: unknown }[] = [];

/** Lets what was sent be answered. */
const settled = () => act(async () => Promise.resolve());

beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ done: true }) } as Response);
  }) as unknown as typeof fetch;
});

function leverRig(change: Partial<RigRecord> = {}): RigRecord {
  const rig = woundRig();
  return {
    ...rig,
    reel: { ...rig.reel, dragKind: 'lever' },
    strengthTests: [pulls('nylon', [140, 142, 139]), pulls('lead', [80, 82, 78]), pulls('top', [85, 84, 86])],
    dragSession: {
      id: 'd',
      loadId: 'load',
      fraction: 0.25,
      strengthBasis: 'weakest',
      targetN: 15,
      rodAngleRad: Math.PI / 3,
      basis: {},
      startedAt: '',
      acceptedAt: null,
      pulls: [],
    },
    ...change,
  };
}

const at = (position: number, forceN: number, presetTurns = 0): LeverPointRecord => ({
  id: `${position} ${presetTurns}`,
  position,
  forceN,
  presetTurns,
  instrument: 'read by eye',
  at: '',
});
const SWEEP = [at(0, 0), at(0.5, 15), at(1, 24)];
const acted = (...acts: readonly PresetActRecord['act'][]): readonly PresetActRecord[] =>
  acts.map((act, index) => ({ id: String(index), act, at: '' }));
const look = (
  leverPosition: number,
  creep: PlanerLookRecord['creep'],
  isSet = true,
  holdsN: number | null = null,
): PlanerLookRecord => ({
  ...{ id: `${leverPosition} ${creep}`, planer: 'number 1', speedMS: 3.09, leverPosition, holdsN, creep, isSet },
  ...{ presetTurns: null, handPull: null, strike: null, instrument: 'read by eye', at: '' },
  ...{ heading: 'into the waves', current: 'with you' },
});
const lever = () => within(screen.getByRole('region', { name: 'The lever over its sweep' }));

describe('the drag left alone', () => {
  it('says what it becomes at the tip and at the fish, and how far to ease it', () => {
    renderRig(leverRig(), <DragStation />);
    expect(screen.getByText(/the same torque acts on a smaller spool/)).toHaveTextContent(/At the fish it is/);
    const table = within(screen.getByRole('region', { name: 'Back off as line leaves' }));
    expect(table.getAllByRole('row').length).toBeGreaterThan(3);
    // By the counter, since a hand cannot set a share; and what to do where it has nothing to set it by.
    expect(table.getAllByRole('row', { name: /^\d+ ± .* m .* kg \d+ ± \d+ %$/ }).length).toBeGreaterThan(2);
    expect(table.getByText(/a scale at the tip should again show 1\.53 kg/)).toBeInTheDocument();
    const before = screen.getByText(/At the fish it is/).textContent;
    fireEvent.change(screen.getByLabelText('The fish runs at, kn'), { target: { value: '20' } });
    expect(screen.getByText(/At the fish it is/).textContent).not.toBe(before);
    fireEvent.change(screen.getByLabelText('The fish runs at, kn'), { target: { value: 'fast' } });
    expect(screen.getByText('Between 0 and 40 kn.')).toBeInTheDocument();
  });

  it('takes a surge up with rod and line, and holds nylon against braid', () => {
    renderRig(leverRig(), <DragStation />);
    fireEvent.click(screen.getByRole('button', { name: /^A sudden surge/ }));
    const surge = within(screen.getByRole('region', { name: 'A sudden surge' }));
    expect(surge.getByText(/if all of it were nylon/)).toBeInTheDocument();
    fireEvent.change(surge.getByLabelText('Line out'), { target: { value: '4000' } });
    expect(surge.getByText(/There are only .* of line/)).toBeInTheDocument();
  });
});

describe('a lever drag', () => {
  it('asks for three places first', () => {
    renderRig(leverRig(), <DragStation />);
    expect(lever().getByText(/A curve needs 3 places of the lever/)).toHaveTextContent(/about half of its sweep/);
  });

  it('says where free, strike and full are, and what limits full', () => {
    renderRig(leverRig({ leverPoints: SWEEP }), <DragStation />);
    expect(lever().getByText(/which is free/)).toBeInTheDocument();
    expect(lever().getByText(/1\.53 kg at 50 ± \d+ % of the sweep/)).toBeInTheDocument();
    expect(lever().getByText(/under the weakest place and the maker's limit/)).toBeInTheDocument();
  });

  it('warns of a full that the rig does not hold, and of a free that is not free', () => {
    const { unmount } = renderRig(leverRig({ leverPoints: [at(0, 0), at(0.5, 40), at(1, 120)] }), <DragStation />);
    expect(lever().getByText(/Never push past/)).toBeInTheDocument();
    unmount();
    renderRig(leverRig({ leverPoints: [at(0, 20), at(0.5, 40), at(1, 60)] }), <DragStation />);
    expect(lever().getByRole('status')).toHaveTextContent(/free must be free/);
  });

  it('learns what a turn of the preset does', () => {
    const leverPoints = [...SWEEP, at(0.5, 20, 1)];
    renderRig(leverRig({ leverPoints }), <DragStation />);
    expect(lever().getByText(/0\.51 kg at 50 % of the sweep, learned from your pulls/)).toBeInTheDocument();
  });

  it('never lets the preset be turned in gear, and undoes one that was', async () => {
    const inGear = acted({ act: 'into-gear' }, { act: 'was-turned-in-gear', turns: 1 });
    const { unmount } = renderRig(leverRig({ presetActs: inGear }), <DragStation />);
    expect(lever().queryByRole('button', { name: 'Turned tighter' })).toBeNull();
    expect(lever().getByRole('alert')).toHaveTextContent('turn the preset 1 turn looser');
    unmount();
    renderRig(leverRig({ presetActs: [...inGear, ...acted({ act: 'to-free' })] }), <DragStation />);
    fireEvent.click(lever().getByRole('button', { name: 'It is turned back' }));
    await settled();
    expect(sent).toEqual([{ url: '/api/boats/boat/rigs/rig/preset-acts', body: { act: 'turn', turns: -1 } }]);
  });
});

describe('a planer', () => {
  const open = () => {
    fireEvent.click(screen.getByRole('button', { name: /^A planer/ }));
    return within(screen.getByRole('region', { name: 'A planer' }));
  };

  it('begins with half of the preset and half of the sweep, and learns nothing of one that was never set', async () => {
    renderRig(leverRig({ planerLooks: [look(0.3, 'none', false)] }), <DragStation />);
    const planer = open();
    expect(await planer.findByText(/preset at half of its travel/)).toBeInTheDocument();
    expect(planer.getByRole('cell', { name: 'no, not set' })).toBeInTheDocument();
    expect(planer.getByText(/too tight to feel a strike is not known yet/)).toBeInTheDocument();
  });

  it('says by feel where the lever belongs, and what the preset is, with no newtons anywhere', async () => {
    const planerLooks = [look(0.7, 'much'), look(0.8, 'some'), look(0.95, 'none')];
    renderRig(leverRig({ planerLooks }), <DragStation />);
    const planer = open();
    expect(await planer.findByText(/the creep stops at/)).toHaveTextContent(/by 3 looks/);
    expect(planer.getByText(/The preset is too loose/)).toBeInTheDocument();
    expect(planer.queryByText(/it pulls/)).toBeNull();
    expect(planer.getByRole('img', { name: /Where the lever stops the creep/ })).toBeInTheDocument();
  });

  it('says in newtons, where there are any, that the rig or its reel is too weak for it', async () => {
    const planerLooks = [look(0.3, 'much', true, 100), look(0.5, 'some', true, 140), look(0.8, 'none', true, 190)];
    const record = leverRig({ planerLooks, leverPoints: SWEEP });
    renderRig({ ...record, reel: { ...record.reel, dragLimitN: 120 } }, <DragStation />);
    const planer = open();
    expect(await planer.findByText(/By the lever curve it pulls/)).toHaveTextContent(/by 3 looks/);
    expect(planer.getByText(/this reel’s maker allows|this reel's maker allows/)).toBeInTheDocument();
    expect(planer.getByText(/more than the weakest place of this rig holds/)).toBeInTheDocument();
    expect(planer.getByText(/Braid for planers/)).toBeInTheDocument();
  });

  it('has the spool held before the lever goes to free', () => {
    renderRig(leverRig(), <DragStation />);
    const steps = open()
      .getAllByRole('listitem', { hidden: true })
      .map((item) => item.textContent);
    const place = (words: RegExp) => steps.findIndex((text) => words.test(text));
    expect(place(/Hold the spool/)).toBeLessThan(place(/Only now the lever to free/));
    expect(place(/Only now the lever to free/)).toBeLessThan(place(/One or two turns of the preset/));
  });

  it('names the look that does not fit the others', async () => {
    const planerLooks = [look(0.45, 'much'), look(0.6, 'none'), look(0.5, 'some'), look(0.2, 'none')];
    renderRig(leverRig({ planerLooks }), <DragStation />);
    expect(await open().findByRole('cell', { name: /fits the others worst/ })).toBeInTheDocument();
  });

  it('notes a look as it was, and says when it will not count', async () => {
    renderRig(leverRig(), <DragStation />);
    const planer = open();
    fireEvent.change(planer.getByLabelText(/Lever stands at/), { target: { value: '40' } });
    fireEvent.change(planer.getByLabelText('Heading'), { target: { value: 'following sea' } });
    fireEvent.change(planer.getByLabelText('Line creeps out'), { target: { value: 'much' } });
    fireEvent.change(planer.getByLabelText('By hand before it goes in'), { target: { value: 'freely' } });
    expect(planer.getByRole('button', { name: /will not count/ })).toBeEnabled();
    fireEvent.click(planer.getByRole('checkbox'));
    fireEvent.click(planer.getByRole('button', { name: 'Note this look' }));
    await settled();
    expect(sent[0]?.body).toMatchObject({
      ...{ planer: 'number 1', heading: 'following sea', current: 'with you', creep: 'much', isSet: true },
      ...{ leverPosition: 0.4, holdsN: null, handPull: 'freely', strike: null },
    });
  });

  it('begins the next look where the last one left off', () => {
    const last = { ...look(0.5, 'much'), heading: 'following sea' as const };
    renderRig(leverRig({ planerLooks: [last], leverPoints: SWEEP }), <DragStation />);
    const planer = open();
    expect(planer.getByLabelText('Heading')).toHaveValue('following sea');
    expect(planer.getByLabelText('Line creeps out')).toHaveValue('none');
  });

  it('can be tried dry: a drag that holds less lets more creep out', () => {
    renderRig(leverRig(), <DragStation />);
    const simulator = within(open().getByRole('region', { name: 'Simulator of a planer in tow' }));
    const holds = simulator.getByLabelText(/^The drag holds/);
    fireEvent.change(holds, { target: { value: '500' } });
    expect(simulator.getByText(/^It holds\./)).toBeInTheDocument();
    fireEvent.change(holds, { target: { value: '40' } });
    expect(simulator.getByText(/of line crept out: much/)).toBeInTheDocument();
  });
});

describe('the history of a drag', () => {
  it('lists what was set and what was done with the preset', () => {
    const dragHistory = [
      { id: 'h', targetN: 15, medianN: 15.2, fraction: 0.25, acceptedAt: '2026-03-01T10:00:00.000Z' },
    ];
    const entry = because('lever-into-gear');
    const log = [{ id: 'l', topic: 'drag', entry, person: null, at: '2026-03-01T11:00:00.000Z' }];
    renderRig(leverRig({ dragHistory, log }), <DragStation />);
    fireEvent.click(screen.getByRole('button', { name: /^History/ }));
    const history = within(screen.getByRole('region', { name: 'History' }));
    expect(history.getByRole('row', { name: /1\.55 kg 1\.53 kg 25 %/ })).toBeInTheDocument();
    expect(history.getByText('Lever into gear.')).toBeInTheDocument();
  });
});

describe('how much of the line may be out', () => {
  /** A weak underlay at the arbor end, far beyond what is fished with. */
  const weakUnderlay = (): RigRecord => {
    const rig = woundRig();
    return {
      ...rig,
      workingRange: { fromM: 20, toM: 40 },
      reach: { kind: 'run', runM: 30 },
      strengthTests: [pulls('nylon', [20, 21, 20]), pulls('lead', [80, 82, 78]), pulls('top', [85, 84, 86])],
    };
  };

  it('drives the target by what is in reach, and tells of what lies deeper', () => {
    const { unmount } = renderRig(weakUnderlay(), <DragStation />);
    const target = within(screen.getByRole('region', { name: 'Target' }));
    expect(target.getByText(/Reckoned with up to/)).toHaveTextContent(
      /70\.0 m from the hook\..*Deeper lies what holds less, which drives no target: from 87\.4 m ease to 0\.39 kg at the tip \(25 % of the sheath/,
    );
    const figure = (): number =>
      Number(/^([\d.]+) ±/.exec(target.getByText(/^[\d.]+ ± [\d.]+ kg$/).textContent ?? '')?.[1]);
    const inReach = figure();
    unmount();
    renderRig({ ...weakUnderlay(), reach: { kind: 'arbor', runM: null } }, <DragStation />);
    const whole = within(screen.getByRole('region', { name: 'Target' }));
    const least = Number(/^([\d.]+) ±/.exec(whole.getByText(/^[\d.]+ ± [\d.]+ kg$/).textContent ?? '')?.[1]);
    expect(inReach).toBeGreaterThan(1.2 * least);
  });

  it('is chosen, and said to be a default until then', async () => {
    renderRig({ ...weakUnderlay(), reach: null }, <DragStation />);
    expect(screen.getAllByText(/a default until you say/)[0]).toBeInTheDocument();
    fireEvent.change(screen.getAllByLabelText('Line that may be out')[0] as HTMLElement, { target: { value: 'use' } });
    await waitFor(() =>
      expect(sent.at(-1)).toMatchObject({ url: '/api/boats/boat/rigs/rig/reach', body: { kind: 'use', runM: null } }),
    );
  });
});

describe('how likely it breaks', () => {
  it('is not known, and not safe, while a line was hardly pulled', () => {
    const rig = { ...leverRig(), strengthTests: [pulls('lead', [80, 82, 78])] };
    renderRig(rig, <DragStation />);
    expect(screen.getByText(/How likely it breaks is not known/)).toHaveTextContent(
      /of top line and nylon line there are fewer than three pulls.*Unknown is not safe/,
    );
    // Nor is it drawn what 95 of 100 hold, where nobody knows it of the first place.
    expect(screen.getByText('place nearest to breaking')).toBeInTheDocument();
    expect(screen.queryByText('95 of 100 hold')).not.toBeInTheDocument();
  });

  it('is worked out beside the page, with its range, what a hundred pulls make of it, and what is a default', async () => {
    const chance = (lengthOutM: number, is: number) => ({
      ...{ lengthOutM, chance: is, byLaw: { normal: is, weibull: is }, between: [is / 4, is * 3] },
      likeliest: { name: 'the swivel', share: 0.8 },
    });
    const steady = [chance(20, 0.001), chance(60, 0.008), chance(200, 0.04)];
    const jerked = [chance(20, 0.25), chance(60, 0.05), chance(200, 0.02)];
    const silent = () => ({
      postMessage: jest.fn(),
      terminate: jest.fn(),
      addEventListener: jest.fn(),
      removeEventListener: jest.fn(),
    });
    const thread = silent();
    // Comlink's own answer, whatever is asked.
    let hear: (event: unknown) => void = () => undefined;
    thread.addEventListener.mockImplementation((_: string, listen: (event: unknown) => void) => (hear = listen));
    thread.postMessage.mockImplementation(({ id }: { id: string }) => {
      setTimeout(() => hear({ data: { id, type: 'RAW', value: { steady, jerked } } }), 0);
    });
    const before = globalThis.Worker;
    // What to measure next is asked of another one.
    globalThis.Worker = jest.fn((of: URL) =>
      of.pathname.includes('risk') ? thread : silent(),
    ) as unknown as typeof Worker;
    try {
      renderRig(leverRig(), <DragStation />);
      const said = await screen.findByText(/fewer than 1 of 100 pulls up to 60\.0 m out/);
      expect(said).toHaveTextContent(/with 200 m out 1 in 25 \(1 in 8 to 1 in 100\), most often the swivel/);
      expect(said).toHaveTextContent(/in a hundred such pulls 98 %/);
      expect(said).toHaveTextContent(/Nobody has pulled: .*There it is a default/);
      // A jerk is another question, and a planer or line in the hand is asked for more.
      expect(screen.getByText(/With a jerk of 1\.50 m/)).toHaveTextContent(
        /break from the start; at worst 1 in 4.*with 20\.0 m out/,
      );
      expect(screen.getByText(/line in the hand or a planer/)).toHaveTextContent(/keeps that up to 20\.0 m out/);
    } finally {
      globalThis.Worker = before;
    }
  });
});
