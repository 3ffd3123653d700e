import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { BoatJoinBreakRecord, PullRecord, RigRecord } from '../../core/record/record';
import { pulls, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { StrengthStation } from './StrengthStation';

const sent: { url: string; body: unknown }[] = [];

/** Lets what was sent be answered. */
const settled = () => act(async () => Promise.resolve());

beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ id: 'new' }) } as Response);
  }) as unknown as typeof fetch;
});

const tested = (change: Partial<RigRecord> = {}): RigRecord => ({
  ...woundRig(),
  strengthTests: [pulls('nylon', [140, 142, 139]), pulls('lead', [80, 82, 78]), pulls('top', [85, 84, 86])],
  ...change,
});

const open = (name: RegExp, region: string) => {
  fireEvent.click(screen.getByRole('button', { name }));
  return within(screen.getByRole('region', { name: region }));
};

describe('the strength profile', () => {
  it('names the weakest place by mean and by bound, place by place, and whether a snag breaks it where meant', async () => {
    renderRig(tested(), <StrengthStation />);
    expect(screen.getByText(/By what 95 of 100 hold it is the/)).toBeInTheDocument();
    const along = within(screen.getByRole('region', { name: 'Strength along the rig' }));
    expect(along.getAllByRole('row').length).toBeGreaterThan(4);
    expect(along.getAllByText('not enough yet').length).toBeGreaterThan(0);
    expect(screen.getByText(/Of lead core the sheath alone counts/)).toBeInTheDocument();
    const choice = screen.getByLabelText('Meant to break on a snag');
    fireEvent.change(choice, {
      target: { value: within(choice).getAllByRole<HTMLOptionElement>('option').at(-1)?.value },
    });
    await settled();
    expect(sent[0]).toMatchObject({ url: '/api/boats/boat/rigs/rig/meant-place' });
  });

  it('says how far the least of many uncertain places lies lower', () => {
    const alike = [pulls('nylon', [84, 74, 81]), pulls('lead', [80, 88, 72]), pulls('top', [83, 75, 82])];
    renderRig(tested({ strengthTests: alike }), <StrengthStation />);
    expect(screen.getByText(/the least of \d figures, each with its ±: the true least lies about/)).toBeInTheDocument();
  });

  it('says that long line is weaker, as a what-if', () => {
    renderRig(tested(), <StrengthStation />);
    const field = screen.getByLabelText('What if it is so long');
    const before = screen.getAllByText(/in the mean, against/)[0]?.textContent;
    fireEvent.change(field, { target: { value: '600' } });
    expect(screen.getAllByText(/in the mean, against/)[0]?.textContent).not.toBe(before);
  });

  it('lends two pulls the scatter of the other lines of their material, and says so', () => {
    const rig = tested();
    const other = rig.products.map((product) => ({ ...product, material: 'nylon' as const }));
    renderRig(
      tested({ products: other, strengthTests: [pulls('nylon', [140, 142, 139, 141, 140]), pulls('top', [85, 84])] }),
      <StrengthStation />,
    );
    expect(screen.getByText(/if it scatters as your other lines of this material do/)).toBeInTheDocument();
  });
});

describe('families and schools', () => {
  it('show a pattern of labels, and predict a size that was not pulled', () => {
    const rig = woundRig();
    const [nylon] = rig.products;
    if (!nylon) throw new Error('the fixture has a nylon');
    const sizes = [60, 120, 240].map((labelStrengthN, index) => ({
      ...nylon,
      id: `size${index}`,
      name: `Plain ${labelStrengthN}`,
      labelStrengthN,
      family: 'Plain nylon',
    }));
    renderRig(
      tested({
        products: [...rig.products, ...sizes],
        strengthTests: [pulls('size0', [90, 91, 89]), pulls('size2', [300, 302, 298])],
      }),
      <StrengthStation />,
    );
    const families = open(/^Families of lines/, 'Families of lines');
    expect(families.getByText(/2 sizes show a pattern/)).toBeInTheDocument();
    expect(families.getByRole('row', { name: /Plain 120 .*predicted/ })).toBeInTheDocument();
  });

  it('compare schools, and say honestly that a few breaks do not tell', () => {
    const broken = (school: string, share: number, index: number): BoatJoinBreakRecord => ({
      id: `${school}${index}`,
      kind: 'plaited-braid-to-leader',
      lines: 'braid to leader',
      school,
      peakN: 100 * share,
      weakerN: 100,
      brokeAt: 'join',
      instrument: 'read by eye',
      at: '',
    });
    const joinBreaks = [0.9, 0.8, 0.95].flatMap((share, index) => [
      broken('one', share, index),
      broken('two', share - 0.04, index),
    ]);
    renderRig(tested({ joinBreaks }), <StrengthStation />);
    const schools = open(/^Joins by their schools/, 'Joins by their schools');
    expect(schools.getByText(/not enough pulls to tell; so far it keeps/)).toBeInTheDocument();
    expect(schools.getAllByRole('row', { name: /school not noted 3/ })).toHaveLength(2);
  });
});

describe('a session of pulls', () => {
  it('is planned with what is expected of each line, from what is known of it', async () => {
    renderRig(tested(), <StrengthStation />);
    const session = open(/^A session of pulls/, 'A session of pulls');
    expect(session.getAllByText(/by the mean of its 3 earlier pulls/)).toHaveLength(3);
    fireEvent.change(session.getByLabelText('Pulls of each line'), { target: { value: '4' } });
    fireEvent.click(session.getByRole('button', { name: 'Plan this session and begin' }));
    await settled();
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/strength-sessions',
      body: { pullsEach: 4, condition: 'soaked', lines: [{ expectedN: expect.closeTo(140.3, 0) as number }, {}, {}] },
    });
  });

  it('asks nothing of a line that is not chosen', async () => {
    const rig = tested({ strengthTests: [] });
    const products = rig.products.map((product) =>
      product.id === 'nylon' ? product : { ...product, labelStrengthN: null },
    );
    renderRig({ ...rig, products }, <StrengthStation />);
    const session = open(/^A session of pulls/, 'A session of pulls');
    for (const box of session.getAllByRole('checkbox')) {
      const isNylon = box.closest('label')?.textContent === products.find((each) => each.id === 'nylon')?.name;
      if (isNylon !== (box as HTMLInputElement).checked) fireEvent.click(box);
    }
    fireEvent.click(session.getByRole('button', { name: 'Plan this session and begin' }));
    await act(() => new Promise((resume) => setTimeout(resume, 20)));
    expect(session.queryByText('Nothing is typed here yet.')).toBeNull();
  });

  it('cannot be planned while a line has nothing expected of it', async () => {
    const rig = tested({ strengthTests: [] });
    const products = rig.products.map((product) => ({ ...product, labelStrengthN: null }));
    renderRig({ ...rig, products }, <StrengthStation />);
    const session = open(/^A session of pulls/, 'A session of pulls');
    fireEvent.click(session.getByRole('button', { name: 'Plan this session and begin' }));
    expect((await session.findAllByRole('alert'))[0]).toHaveTextContent('Nothing is typed here yet.');
    // The form library moves the focus in a turn of its own.
    await waitFor(() => expect(session.getAllByLabelText(/^Expected of/)[0]).toHaveFocus());
    expect(session.getAllByText('no label and no pulls: your own guess').length).toBeGreaterThan(0);
  });

  it('goes through the pieces in bench mode by keys, typed where no gauge streams', async () => {
    const tests = [
      { ...pulls('nylon', []), sessionId: 's' },
      { ...pulls('lead', [80]), sessionId: 's' },
    ];
    const strengthSessions = [{ id: 's', name: 'Winter pulls', pullsEach: 1, at: '' }];
    renderRig(tested({ strengthTests: tests, strengthSessions }), <StrengthStation />);
    const session = open(/^A session of pulls/, 'A session of pulls');
    expect(session.getByText('Winter pulls: 1 of 2 pulls made')).toBeInTheDocument();
    fireEvent.click(session.getByRole('button', { name: /^Go on with Winter pulls/ }));
    const bench = within(screen.getByRole('dialog'));
    expect(bench.getByRole('heading', { name: /pull 1 of 1$/ })).toBeInTheDocument();
    fireEvent.change(bench.getByLabelText('Or type the peak'), { target: { value: '14.2' } });
    expect(bench.getByTestId('bench-peak')).toHaveTextContent('14.2 kg');
    expect(bench.getByText(/above what you expected/)).toBeInTheDocument();
    fireEvent.keyDown(screen.getByRole('dialog'), { key: '3' });
    expect(bench.getByRole('button', { name: /^at a knot/ })).toHaveAttribute('aria-pressed', 'true');
    fireEvent.keyDown(screen.getByRole('dialog'), { key: ' ' });
    await settled();
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/strength-tests/test-nylon/pulls',
      body: { breakPlace: 'knot', instrument: 'read by eye' },
    });
  });
});

describe('a pull that belongs to another spool', () => {
  it('is moved with a reason, and its old place stays on record', async () => {
    renderRig(tested(), <StrengthStation />);
    fireEvent.change(screen.getByLabelText('Line in the grips'), { target: { value: 'nylon' } });
    fireEvent.click(screen.getByText('The wrong spool was in the grips? Move a pull'));
    fireEvent.click(screen.getByRole('button', { name: 'Move this pull' }));
    await waitFor(() => expect(screen.getByLabelText('Why it is moved')).toHaveFocus());
    fireEvent.change(screen.getByLabelText('Belongs to, the likeliest first'), { target: { value: 'lead' } });
    fireEvent.change(screen.getByLabelText('Why it is moved'), { target: { value: 'mixed up' } });
    fireEvent.click(screen.getByRole('button', { name: 'Move this pull' }));
    await settled();
    expect(sent[0]).toMatchObject({
      url: expect.stringMatching(/strength-pulls\/p\d\/moves$/) as string,
      body: { reason: 'mixed up', productId: 'lead' },
    });
  });

  it('far from the others is asked about before it counts', async () => {
    const rig = tested();
    const strengthTests = rig.strengthTests.map((test) =>
      test.productId === 'nylon'
        ? { ...test, openPulls: [{ ...(test.pulls[0] as PullRecord), id: 'odd', peakN: 300, heldOut: true }] }
        : test,
    );
    renderRig({ ...rig, strengthTests }, <StrengthStation />);
    fireEvent.change(screen.getByLabelText('Line in the grips'), { target: { value: 'nylon' } });
    expect(screen.getByRole('alert')).toHaveTextContent(/30\.6 kg is far from the other pulls.*counts for nothing/);
    // Moving begins at the one that is asked about.
    expect(screen.getAllByLabelText('The pull')[0]).toHaveDisplayValue(/the one that is asked about/);
    fireEvent.click(screen.getByRole('button', { name: 'It is right: let it count' }));
    await settled();
    expect(sent[0]).toMatchObject({
      url: '/api/boats/boat/answers',
      body: { kind: 'strengthPull', id: 'odd', rigId: 'rig' },
    });
  });
});
