import { WordsProvider } from '@/components/units/WordsProvider';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { LineProductRecord, ReelRecord } from '../../core/record/record';
import { OPEN_FOLDS } from '../../tests/openFolds';
import { plannedRig } from '../../tests/rigFixture';
import { Toasts } from '../ui/Toasts';
import { UnitsProvider } from '../units/UnitsProvider';
import { GearPage } from './GearPage';

const sent: { url: string; body: unknown }[] = [];

beforeEach(() => {
  window.localStorage.clear();
  window.localStorage.setItem(OPEN_FOLDS.key, OPEN_FOLDS.kept);
  sent.length = 0;
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ id: 'x' }) } as Response);
  }) as unknown as typeof fetch;
});

const { products } = plannedRig();
const wanted = [
  { rigId: 'one', rigName: 'Port rod', segmentId: 'a', segmentName: 'Backing', lengthM: 120, loaded: false },
  { rigId: 'two', rigName: 'Starboard rod', segmentId: 'b', segmentName: 'Backing', lengthM: 90, loaded: true },
].map((each) => ({ ...each, productId: 'nylon' }));

function renderGear(reels: readonly ReelRecord[] = [], smallLength: 'mm' | 'in' = 'mm') {
  const spools = [
    {
      id: 's',
      lineProductId: 'nylon',
      label: 'Shelf one',
      boughtLengthM: 300,
      remainingLengthM: 130,
      archivedAt: null,
    },
    {
      id: 't',
      lineProductId: 'nylon',
      label: 'Shelf two',
      boughtLengthM: 300,
      remainingLengthM: 100,
      archivedAt: null,
    },
  ];
  render(
    <UnitsProvider initial={{ length: 'm', smallLength, force: 'kg' }}>
      <WordsProvider>
        <Toasts>
          <GearPage
            boatId="boat"
            reels={reels}
            lines={products}
            freeReelIds={[]}
            supplySpools={spools}
            people={[]}
            rigs={[]}
            plans={[]}
            likeRigId={null}
            begunLine={null}
            wanted={wanted}
          />
        </Toasts>
      </WordsProvider>
    </UnitsProvider>,
  );
}

const reels = () => within(screen.getByRole('region', { name: 'Reels' }));
const lines = () => within(screen.getAllByRole('region', { name: 'Lines' })[0] ?? document.body);

describe('the gear page', () => {
  it('draws its reels and its lines to one scale each, and what is left of a spool against what was bought', () => {
    const { reel } = plannedRig();
    const half = (known: ReelRecord['widthM']) => ({ ...known, value: known.value / 2 });
    const small: ReelRecord = {
      ...{ ...reel, id: 'small', name: 'Small reel', dragLimitN: null },
      ...{
        arborDiameterM: half(reel.arborDiameterM),
        widthM: half(reel.widthM),
        fullDiameterM: half(reel.fullDiameterM),
      },
    };
    renderGear([reel, small]);
    const size = (list: string, index: number, part: string): number => {
      const item = within(screen.getByRole('list', { name: list })).getAllByRole('listitem')[index];
      return Number(item?.querySelector('svg rect')?.getAttribute(part)?.replace('%', ''));
    };
    expect(size('Reels of this boat', 1, 'height')).toBeCloseTo(size('Reels of this boat', 0, 'height') / 2, 6);
    expect(size('Reels of this boat', 1, 'width')).toBeCloseTo(size('Reels of this boat', 0, 'width') / 2, 6);
    const [first, second] = products;
    expect(size('Lines of this boat', 0, 'height') / size('Lines of this boat', 1, 'height')).toBeCloseTo(
      (first?.diameterM.value ?? 0) / (second?.diameterM.value ?? 1),
      6,
    );
    // 130 of 300 m and 100 of 300 m, on one scale.
    expect(size('Spools on the shelf', 0, 'width')).toBeCloseTo((100 * 130) / 300, 6);
    expect(size('Spools on the shelf', 1, 'width')).toBeCloseTo(100 / 3, 6);
    expect(screen.getByText(/The maker's drag limit is not known/)).toBeInTheDocument();
  });

  it('shows where the caliper goes for the size in hand, to scale once all three are there', () => {
    renderGear();
    const drawing = (name: RegExp) => reels().queryByRole('img', { name });
    expect(drawing(/^Arbor: Spool empty/)).toBeInTheDocument();
    fireEvent.focus(reels().getByLabelText('Width between flanges'));
    expect(drawing(/^Width: Open the inside jaws/)).toBeInTheDocument();
    expect(drawing(/^Arbor:/)).toBeNull();
    const type = (label: string, text: string) =>
      fireEvent.change(reels().getByLabelText(label), { target: { value: text } });
    type('Arbor diameter', '30');
    type('Width between flanges', '40');
    expect(reels().getByText(/Not to scale until all three are there/)).toBeInTheDocument();
    type('Full diameter', '60');
    expect(reels().getByText(/Drawn to scale/)).toBeInTheDocument();
    const spool = drawing(/^Width:/)?.querySelector('rect');
    expect(Number(spool?.getAttribute('width')) / Number(spool?.getAttribute('height'))).toBeCloseTo(40 / 60, 6);
  });

  it('takes a reel by its capacities alone, in the units of its box', async () => {
    renderGear();
    fireEvent.change(reels().getByLabelText('Name'), { target: { value: 'Boxed reel' } });
    fireEvent.click(reels().getByRole('button', { name: 'Add a capacity' }));
    fireEvent.change(reels().getByLabelText('Capacity 1'), { target: { value: '20 lb' } });
    expect(reels().getByText(/Write it like 0\.40 mm/)).toBeInTheDocument();
    expect(reels().getByRole('button', { name: 'Add this reel' })).toBeDisabled();
    fireEvent.change(reels().getByLabelText('Capacity 1'), { target: { value: '20 lb / 250 yd' } });
    expect(reels().getByText(/^229 m of nylon of 9\.07 kg, about 0\.4\d+ mm by guess$/)).toBeInTheDocument();
    fireEvent.click(reels().getByRole('button', { name: 'Add this reel' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({
      arborDiameterM: null,
      ratings: [{ label: '20 lb / 250 yd', lengthM: expect.closeTo(228.6, 6) as number }],
    });
  });

  it('takes a list of capacities as it stands on a box, and a counter that nobody knows yet', async () => {
    renderGear();
    fireEvent.change(reels().getByLabelText('Name'), { target: { value: 'Listed reel' } });
    fireEvent.click(reels().getByRole('button', { name: 'Add a capacity' }));
    fireEvent.change(reels().getByLabelText('Capacity 1'), { target: { value: '20/350, 30/240' } });
    expect(reels().getByText(/^320 m of nylon of 9\.07 kg.*; 219 m of nylon of 13\.6 kg/)).toBeInTheDocument();
    fireEvent.change(reels().getByLabelText('Gear ratio'), { target: { value: '4,2' } });
    fireEvent.click(reels().getByRole('button', { name: 'Add this reel' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({
      gearRatio: 4.2,
      ratings: [{ label: '20/350' }, { label: '30/240' }],
      counter: { lengthPerTurnM: null },
    });
  });

  it('does not ask a reel without a counter for its digits', async () => {
    renderGear();
    fireEvent.change(reels().getByLabelText('Name'), { target: { value: 'Plain reel' } });
    fireEvent.change(reels().getByLabelText('Digits'), { target: { value: 'three' } });
    fireEvent.change(reels().getByLabelText('Counter in'), { target: { value: 'none' } });
    fireEvent.click(reels().getByRole('button', { name: 'Add this reel' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ name: 'Plain reel', counter: null });
  });

  it('finds an arbor from a plain load, and a thickness from wraps', () => {
    renderGear();
    fireEvent.change(reels().getByLabelText('Length of line'), { target: { value: '300' } });
    fireEvent.change(reels().getByLabelText('Spool turns'), { target: { value: '2000' } });
    fireEvent.change(reels().getByLabelText('Across the wound line'), { target: { value: '60' } });
    expect(reels().getByText(/^35\.\d+ ± \d\.\d+ mm$/)).toBeInTheDocument();
    fireEvent.click(reels().getByRole('button', { name: 'Take this arbor' }));
    expect(reels().getByLabelText('Arbor diameter')).toHaveValue('35.49');
    fireEvent.change(lines().getByLabelText('Width over all of them'), { target: { value: '8.4' } });
    fireEvent.click(lines().getByRole('button', { name: 'Take this thickness' }));
    expect(lines().getByLabelText('Thickness')).toHaveValue('0.420');
    expect(lines().getByLabelText('That thickness is')).toHaveDisplayValue('by wraps or caliper');
    fireEvent.change(lines().getByLabelText('By'), { target: { value: 'number' } });
    fireEvent.change(lines().getByLabelText('Number'), { target: { value: '4' } });
    expect(lines().getByText(/^0\.33 mm ± 0\.08 mm$/)).toBeInTheDocument();
    fireEvent.change(lines().getByLabelText('By'), { target: { value: 'guess' } });
    expect(lines().getByText('Type the strength on the label first.')).toBeInTheDocument();
    fireEvent.change(lines().getByLabelText('Strength on the label'), { target: { value: '9' } });
    expect(lines().getByText(/\(a guess\)/)).toBeInTheDocument();
  });

  it('keeps what was typed beside its forms over a reload, and reads no figure of one unit in another', () => {
    renderGear();
    fireEvent.change(reels().getByLabelText('Spool turns'), { target: { value: '1500' } });
    fireEvent.change(lines().getByLabelText('By'), { target: { value: 'caliper' } });
    fireEvent.change(lines().getByLabelText('Readings in mm, a blank between'), { target: { value: '0.41 0.43' } });
    cleanup();
    renderGear();
    expect(reels().getByLabelText('Spool turns')).toHaveValue('1500');
    expect(lines().getByLabelText('Readings in mm, a blank between')).toHaveValue('0.41 0.43');
    cleanup();
    renderGear([], 'in');
    expect(lines().getByLabelText('Readings in in, a blank between')).toHaveValue('');
  });

  it('asks what ten metres weigh of line that sinks by its metal, and of no other', async () => {
    renderGear();
    const [first] = screen.getAllByRole('region', { name: 'Lines' });
    const lines = within(first as HTMLElement);
    expect(lines.queryByLabelText('Ten metres of it weigh, g')).toBeNull();
    fireEvent.change(lines.getByLabelText('Material'), { target: { value: 'lead core' } });
    fireEvent.change(lines.getByLabelText('Name'), { target: { value: 'Lead core 0.80' } });
    fireEvent.change(lines.getByLabelText('Thickness'), { target: { value: '0.8' } });
    fireEvent.change(lines.getByLabelText('Ten metres of it weigh, g'), { target: { value: '17,2' } });
    fireEvent.click(lines.getByRole('button', { name: 'Add this line' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ material: 'lead core', massKgPerM: expect.closeTo(0.00172, 9) });
  });

  it('puts a spool on the shelf, whole where nothing else is said', async () => {
    renderGear();
    fireEvent.change(screen.getByLabelText('Label of a new spool'), { target: { value: 'Top drawer' } });
    fireEvent.change(screen.getByLabelText('Length as bought'), { target: { value: '150' } });
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ label: 'Top drawer', boughtLengthM: 150, remainingLengthM: 150 });
  });

  it('puts the first line of a new boat on the shelf as soon as there is one', async () => {
    const page = (lines: readonly LineProductRecord[]) => (
      <UnitsProvider initial={{ length: 'm', smallLength: 'mm', force: 'kg' }}>
        <WordsProvider>
          <Toasts>
            <GearPage
              boatId="boat"
              reels={[]}
              lines={lines}
              freeReelIds={[]}
              supplySpools={[]}
              people={[]}
              rigs={[]}
              plans={[]}
              likeRigId={null}
              begunLine={null}
              wanted={[]}
            />
          </Toasts>
        </WordsProvider>
      </UnitsProvider>
    );
    const { rerender } = render(page([]));
    rerender(page(products));
    const shelf = within(screen.getByRole('region', { name: 'Supply spools on the shelf' }));
    fireEvent.change(shelf.getByLabelText('Label of a new spool'), { target: { value: 'Shelf one' } });
    fireEvent.change(shelf.getByLabelText('Length as bought'), { target: { value: '300' } });
    fireEvent.click(shelf.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toMatchObject({ lineProductId: products[0]?.id, remainingLengthM: 300 });
  });

  it('lists the cuts for the rigs that are chosen', () => {
    renderGear();
    fireEvent.click(screen.getByRole('button', { name: /^Cut list/ }));
    const cuts = () => within(screen.getByRole('region', { name: 'Cuts of nylon line' }));
    expect(cuts().getByText(/120 m for Backing of Port rod/)).toHaveTextContent('Shelf one');
    fireEvent.click(screen.getByLabelText(/Starboard rod/));
    expect(cuts().getByText(/90\.0 m for Backing of Starboard rod/)).toHaveTextContent('Shelf two');
    expect(cuts().getByText(/no join inside a piece/)).toHaveTextContent('nothing better is possible');
  });
});
