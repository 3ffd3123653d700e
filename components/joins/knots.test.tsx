import { fireEvent, render, screen, within } from '@testing-library/react';
import type { JOIN_KIND_NAMES } from '../../core/joins/joinKinds';
import { JOIN_KINDS } from '../../core/joins/joinKinds';
import { Providers } from '../shell/Providers';
import { Palette } from '../shell/Palette';
import { Knots } from './Knots';

const METRIC = { length: 'm', smallLength: 'mm', force: 'kg' } as const;
const push = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push, refresh: jest.fn() }),
  usePathname: () => '/boats/boat/rigs/rig',
}));

describe('the knots', () => {
  const show = (kind: (typeof JOIN_KIND_NAMES)[number]) =>
    render(
      <Providers units={METRIC} nonce="">
        <Knots boatId="boat" kind={kind} />
      </Providers>,
    );

  it('are each looked up by steps, back and forth, with what they are also known as and keep', () => {
    show('plaited-braid-to-leader');
    expect(screen.getByText(/Also known as FG/)).toHaveTextContent(/88 %\s*±\s*16 %.*a default/);
    const drawn = () => screen.getByRole('img').getAttribute('aria-label');
    const first = drawn();
    fireEvent.click(screen.getByRole('button', { name: 'Next step' }));
    expect(drawn()).not.toBe(first);
    fireEvent.click(screen.getByRole('button', { name: 'Step back' }));
    expect(drawn()).toBe(first);
    fireEvent.change(screen.getByLabelText('School'), { target: { value: 'plait-melted' } });
    expect(screen.getByText(/Melt the end of the leader/)).toBeInTheDocument();
  });

  it('of one end say of which line they keep a share', () => {
    show('long-loop-twist');
    expect(screen.getByText(/Also known as Bimini/)).toHaveTextContent(/of its line/);
  });

  it('are drawn mirrored, from the end, slower and standing still', () => {
    show('wraps-over-fold');
    const picture = () => screen.getByRole('img');
    fireEvent.click(screen.getByRole('button', { name: 'Mirror' }));
    expect(picture()).toHaveStyle({ transform: 'scaleX(-1)' });
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(picture()).toHaveClass('stands-still');
    const delays = () =>
      [...picture().querySelectorAll<SVGElement>('.laid-piece')].map((each) => each.style.animationDelay);
    const usual = Math.max(...delays().map(parseFloat));
    fireEvent.click(screen.getByRole('button', { name: 'Slower' }));
    expect(Math.max(...delays().map(parseFloat))).toBeGreaterThan(2 * usual);
    expect(screen.getByRole('button', { name: 'Slower' })).toHaveAttribute('aria-pressed', 'true');
    const side = picture().innerHTML;
    fireEvent.click(screen.getByRole('button', { name: 'From its end' }));
    expect(picture().innerHTML).not.toBe(side);
  });
});

describe('the palette', () => {
  it.each([
    ['bimini', 'long-loop-twist'],
    ['uni to uni', 'double-sliding-knot'],
    ['haywire', 'wire-loop'],
    ['fg', 'plaited-braid-to-leader'],
  ] as const)('finds %s among the plain names', async (typed, kind) => {
    Element.prototype.scrollIntoView ??= jest.fn();
    render(
      <Providers units={METRIC} nonce="">
        <Palette shows="palette" places={[]} onClose={jest.fn()} onHelp={jest.fn()} />
      </Providers>,
    );
    fireEvent.change(screen.getByPlaceholderText('Where to, or what?'), { target: { value: typed } });
    const [first] = within(screen.getByRole('listbox')).getAllByRole('option');
    expect(first).toHaveTextContent(JOIN_KINDS[kind].name);
    fireEvent.click(first ?? document.body);
    expect(push).toHaveBeenLastCalledWith(`/boats/boat/knots?knot=${kind}`);
  });
});
