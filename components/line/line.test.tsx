import { fireEvent, screen } from '@testing-library/react';
import { plannedRig, pulls, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import type { RigRecord } from '../../core/record/record';
import { rigView, type RigView } from '../../core/rig/view/rigView';
import { useRig } from '../rig/RigProvider';
import { CursorReadout } from './CursorReadout';
import { LensChart } from './LensChart';
import { bandsOfLine } from '@/core/rig/view/bandsOfLine';
import { LinePicture } from './LinePicture';
import { Ribbon } from './Ribbon';
import { ShrunkRibbon } from './ShrunkRibbon';
import { SpoolSection } from './SpoolSection';

function viewOf(rig = plannedRig()): RigView {
  const view = rigView(rig);
  if (!view) throw new Error('the fixture has no view');
  return view;
}

function SmallRibbon() {
  const { view } = useRig();
  return view && <ShrunkRibbon view={view} />;
}

function RibbonWithCursor({ orientation }: { orientation: 'lying' | 'upright' }) {
  const { view } = useRig();
  return view && <Ribbon view={view} orientation={orientation} />;
}

describe('the small ribbon of a scrolled page', () => {
  it('moves the one cursor, reads it in a row, and leaves screen readers to the large one', () => {
    const { container } = renderRig(woundRig(), <SmallRibbon />);
    const strip = screen.getByTestId('shrunk-ribbon');
    expect(strip).toHaveAttribute('aria-hidden');
    expect(strip).toHaveTextContent(/^.*0\.00 m out, counter 0/);
    const drawing = container.querySelector('svg') as SVGSVGElement;
    // jsdom knows no pointer: a mouse's event by that name.
    fireEvent(drawing, new MouseEvent('pointermove', { bubbles: true, clientX: 200 }));
    expect(strip).toHaveTextContent(/^.*\d\d\.\d m out, counter \d+ ± [\d.]+, (Top shot|Lead core)/);
    expect(Number(container.querySelector('line.stroke-stop')?.getAttribute('x1'))).toBeCloseTo(200, 6);
  });
});

describe('the ribbon', () => {
  it('says in words what it draws', () => {
    renderRig(plannedRig(), <RibbonWithCursor orientation="lying" />);
    expect(
      screen.getByRole('img', { name: /from hook to arbor: Top shot 60\.0 m, Lead core 27\.4 m, Backing \d+/ }),
    ).toBeInTheDocument();
  });

  it('draws a band a colour for lead core, one for plain line, and a ring for every join', () => {
    const { container } = renderRig(plannedRig(), <RibbonWithCursor orientation="lying" />);
    const titles = [...container.querySelectorAll('rect > title')].map((title) => title.textContent);
    expect(titles).toEqual([
      'Top shot: top line',
      'Lead core, green',
      'Lead core, black',
      'Lead core, orange',
      'Backing: nylon line',
    ]);
    expect(container.querySelectorAll('circle')).toHaveLength(3);
    // Pull-tested joins have a whole ring, the others a dashed one.
    expect(
      [...container.querySelectorAll('circle')].filter((ring) => ring.getAttribute('stroke-dasharray')),
    ).toHaveLength(2);
  });

  it('draws every band as thick as its line, by one factor', () => {
    const { container } = renderRig(plannedRig(), <RibbonWithCursor orientation="lying" />);
    const height = (name: string): number => {
      const title = [...container.querySelectorAll('rect > title')].find((candidate) =>
        candidate.textContent?.startsWith(name),
      );
      return Number(title?.parentElement?.getAttribute('height'));
    };
    expect(height('Top shot') / height('Lead core, green')).toBeCloseTo(0.33 / 0.76, 6);
    expect(height('Backing') / height('Lead core, green')).toBeCloseTo(0.45 / 0.76, 6);
  });

  it('draws true length and counter to one scale, so that their drift is seen', () => {
    const { container } = renderRig(woundRig(), <RibbonWithCursor orientation="lying" />);
    const labels = (from: string): number[] => {
      const group = [...container.querySelectorAll('g')].find(
        (candidate) => candidate.querySelector(':scope > title')?.textContent === from,
      );
      return [...(group?.querySelectorAll('text') ?? [])].map((text) => Number(text.getAttribute('x')));
    };
    expect(labels('True length from the hook').length).toBeGreaterThan(5);
    expect(labels('Counter reading').length).toBeGreaterThan(5);
    expect(labels('Counter reading')).toEqual(labels('Counter reading').toSorted((a, b) => a - b));
  });

  it('moves its cursor by keys, one unit or ten, and stops at the ends', () => {
    renderRig(plannedRig(), <RibbonWithCursor orientation="upright" />);
    const ribbon = screen.getByRole('slider');
    const press = (key: string, shiftKey = false): void => void fireEvent.keyDown(ribbon, { key, shiftKey });
    expect(ribbon).toHaveAttribute('aria-orientation', 'vertical');
    press('ArrowRight', true);
    press('ArrowUp');
    expect(ribbon).toHaveAttribute('aria-valuenow', '11');
    press('ArrowLeft');
    expect(ribbon).toHaveAttribute('aria-valuenow', '10');
    press('Home');
    press('ArrowLeft');
    expect(ribbon).toHaveAttribute('aria-valuenow', '0');
    press('End');
    expect(ribbon).toHaveAttribute('aria-valuetext', expect.stringContaining('Backing at the tip'));
    press('x');
    expect(Number(ribbon.getAttribute('aria-valuenow'))).toBeGreaterThan(100);
  });

  it('moves by feet when feet are shown', () => {
    renderRig(plannedRig(), <RibbonWithCursor orientation="lying" />, { length: 'ft', smallLength: 'in', force: 'lb' });
    fireEvent.keyDown(screen.getByRole('slider'), { key: 'ArrowRight', shiftKey: true });
    expect(screen.getByRole('slider')).toHaveAttribute('aria-valuenow', '10');
    expect(screen.getByRole('slider')).toHaveAttribute('aria-valuetext', expect.stringContaining('10.0 ft out'));
  });

  it('is a picture without keys in the locker', () => {
    const { record, current } = viewOf();
    const bands = bandsOfLine(record, current.line);
    renderRig(plannedRig(), <LinePicture line={current.line} bands={bands} joins={record.joins} />);
    expect(screen.queryByRole('slider')).toBeNull();
    expect(screen.getByRole('img')).toBeInTheDocument();
  });
});

describe('the readout', () => {
  const withRibbon = (record: RigRecord) => (
    <>
      <Ribbon view={viewOf(record)} orientation="lying" />
      <CursorReadout view={viewOf(record)} />
    </>
  );

  it('says what every lens says', () => {
    const tested = { ...woundRig(), strengthTests: [pulls('top', [85, 84, 86])] };
    renderRig(tested, withRibbon(tested));
    expect(screen.getByText(/^Point at the line/)).toBeInTheDocument();
    fireEvent.keyDown(screen.getByRole('slider'), { key: 'ArrowRight' });
    const readout = screen.getByLabelText('At the cursor');
    expect(readout).toHaveTextContent('1.00 m');
    expect(readout).toHaveTextContent('Top shot');
    expect(readout).toHaveTextContent(/counter shows1 ± 0\.\d/);
    expect(readout).toHaveTextContent('× 1.00');
    expect(readout).toHaveTextContent('drag not set');
  });

  it('counts turns of the spool where there is no counter', () => {
    const rig = woundRig();
    const bare = { ...rig, reel: { ...rig.reel, counter: null } };
    renderRig(bare, withRibbon(bare));
    fireEvent.keyDown(screen.getByRole('slider'), { key: 'ArrowRight' });
    expect(screen.getByLabelText('At the cursor')).toHaveTextContent(/turns off the spool\d+ ±/);
  });
});

describe('the spool section', () => {
  it('is to scale: the wound line stands to the rim as it does on the reel', () => {
    const { container } = renderRig(plannedRig(), <SpoolSection view={viewOf()} cursorM={0} />);
    expect(screen.getByText(/2\.0 mm under the rim/)).toBeInTheDocument();
    const flange = Number(container.querySelector('rect[width="7"]')?.getAttribute('height'));
    const arbor = Number(container.querySelector('.fill-edge')?.getAttribute('height'));
    expect(arbor / flange).toBeCloseTo(0.0314 / 0.0618, 6);
  });

  it('empties as line goes out, and says above when it is', () => {
    const view = viewOf(woundRig({ levelBelowRimM: -0.0008 }));
    const { container, unmount } = renderRig(plannedRig(), <SpoolSection view={view} cursorM={0} />);
    const filled = (root: HTMLElement): number =>
      [...root.querySelectorAll('rect[fill^="#"]')].reduce((sum, rect) => sum + Number(rect.getAttribute('height')), 0);
    const full = filled(container);
    expect(screen.getByText(/0\.8 mm above the rim/)).toBeInTheDocument();
    unmount();
    const later = renderRig(plannedRig(), <SpoolSection view={view} cursorM={90} caption="Half out." />);
    expect(filled(later.container)).toBeLessThan(full * 0.9);
    expect(screen.getByText('Half out.')).toBeInTheDocument();
  });
});

describe('a lens', () => {
  it('has its axis, its curves by name, and no number that is none', () => {
    const { container } = renderRig(
      plannedRig(),
      <LensChart
        view={viewOf()}
        title="Drift"
        axis="m"
        describe="The drift along the line."
        curves={[
          {
            name: 'drift',
            look: 'stroke-chalk',
            points: [0, 50, 100].map((lengthM) => ({ lengthM, value: lengthM / 10, plusMinus: 1 })),
          },
          {
            name: 'flat',
            look: 'stroke-stop',
            dashed: true,
            points: [0, 100].map((lengthM) => ({ lengthM, value: 4 })),
          },
        ]}
      />,
    );
    expect(screen.getByRole('img', { name: 'The drift along the line.' })).toBeInTheDocument();
    expect(screen.getByText('flat')).toBeInTheDocument();
    // Two lines and one band.
    expect(container.querySelectorAll('svg[role="img"] path')).toHaveLength(3);
    expect(container.innerHTML).not.toContain('NaN');
  });

  it('stands without a curve', () => {
    const { container } = renderRig(
      plannedRig(),
      <LensChart view={viewOf()} title="Empty" axis="m" describe="Nothing." curves={[]} />,
    );
    expect(container.innerHTML).not.toContain('NaN');
  });
});
