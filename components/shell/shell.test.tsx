import { fireEvent, render, screen, within } from '@testing-library/react';
import {
  APPEARANCE_COOKIE,
  appearanceCookieText,
  readAppearanceCookie,
  TEXT_SIZES,
  THEMES,
} from '../appearance/appearance';
import { HeaderTools } from './HeaderTools';
import { Palette } from './Palette';
import { rigPlaces } from './paths';
import { Providers } from './Providers';

const push = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push, refresh: jest.fn() }),
  usePathname: () => '/boats/boat/rigs/rig',
}));

const METRIC = { length: 'm', smallLength: 'mm', force: 'kg' } as const;
const closed = jest.fn();
const helped = jest.fn();

beforeEach(() => {
  window.localStorage.clear();
  Element.prototype.scrollIntoView ??= jest.fn();
  for (const mock of [push, closed, helped]) mock.mockClear();
  delete document.documentElement.dataset.theme;
  delete document.documentElement.dataset.text;
});

const palette = () =>
  render(
    <Providers units={METRIC} nonce="">
      <Palette shows="palette" places={rigPlaces('boat', 'rig')} onClose={closed} onHelp={helped} />
    </Providers>,
  );
const find = (typed: string): HTMLElement => {
  fireEvent.change(screen.getByPlaceholderText('Where to, or what?'), { target: { value: typed } });
  const [first] = within(screen.getByRole('listbox')).getAllByRole('option');
  if (!first) throw new Error('nothing was found');
  return first;
};

describe('the palette', () => {
  it.each([
    ['print', /Run sheet to print|Card of this rod/],
    ['backing', /^Load/],
    ['undo', /^History, and undo/],
    ['calibrate', /^Count/],
    ['knots', /^Joins/],
    ['imperial', /^Show feet/],
    ['bigger', /^Text: /],
    ['shortcuts', /^Keys and help/],
    ['creep', /^creep Line that slips out under a steady pull/],
  ])('finds %s by what people call it', (typed, label) => {
    palette();
    expect(find(typed).textContent).toMatch(label);
  });

  it('puts what was gone to last first', () => {
    const { unmount } = palette();
    fireEvent.click(find('undo'));
    expect(push).toHaveBeenLastCalledWith('/boats/boat/rigs/rig/history');
    unmount();
    palette();
    const [first] = within(screen.getByRole('listbox')).getAllByRole('option');
    expect(first?.textContent).toBe('History, and undo recently');
    fireEvent.click(first ?? document.body);
    expect(push).toHaveBeenCalledTimes(2);
  });

  it('turns colours and text of this device, and leads to the keys', () => {
    palette();
    fireEvent.click(find('Colours: dark'));
    expect(document.documentElement.dataset.theme).toBe('dark');
    expect(document.cookie).toContain(`${APPEARANCE_COOKIE}=dark.usual`);
    fireEvent.click(find('Text: largest'));
    expect(document.documentElement.dataset).toMatchObject({ theme: 'dark', text: 'largest' });
    fireEvent.click(find('shortcuts'));
    expect(helped).toHaveBeenCalledTimes(1);
  });
});

describe('how a page looks', () => {
  it('comes back from its cookie, and from nonsense as the device has it', () => {
    for (const theme of THEMES)
      for (const text of TEXT_SIZES)
        expect(readAppearanceCookie(appearanceCookieText({ theme, text }))).toEqual({ theme, text });
    for (const nonsense of [undefined, '', 'pink.huge', 'dark'])
      expect(readAppearanceCookie(nonsense)).toEqual({
        theme: nonsense === 'dark' ? 'dark' : 'as the device',
        text: 'usual',
      });
  });

  it('is set in the menu of the header', async () => {
    render(
      <Providers units={METRIC} nonce="">
        <HeaderTools places={[]} />
      </Providers>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Settings' }));
    const colours = within(await screen.findByRole('radiogroup', { name: 'Colours' }));
    expect(screen.getByRole('dialog', { name: 'Settings' })).toBeInTheDocument();
    fireEvent.click(colours.getByRole('radio', { name: 'light' }));
    expect(document.documentElement.dataset.theme).toBe('light');
    expect(colours.getByRole('radio', { name: 'light' })).toHaveAttribute('aria-checked', 'true');
  });
});
