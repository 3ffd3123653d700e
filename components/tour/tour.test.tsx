import { act, fireEvent, render, screen } from '@testing-library/react';
import { rigToTour } from './rigToTour';
import { Tour } from './Tour';
import { goToStop } from './tourStore';
import { TOUR_STEPS } from './tourSteps';

const push = jest.fn();
let pathname = '/boats/boat/rigs/rig';
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push }),
  usePathname: () => pathname,
}));

const RIG = '/boats/boat/rigs/rig';
const begin = (): void => act(() => goToStop(RIG, 0));
const press = (name: string): void => void fireEvent.click(screen.getByRole('button', { name }));

beforeEach(() => {
  window.localStorage.clear();
  document.cookie = 'person=; max-age=0; path=/';
  push.mockClear();
  pathname = RIG;
  Element.prototype.scrollIntoView ??= jest.fn();
});

describe('the tour', () => {
  it('stands nowhere until it is taken, goes through every stop, and ends', async () => {
    render(<Tour />);
    expect(screen.queryByRole('complementary', { name: 'Tour' })).toBeNull();
    begin();
    const bar = await screen.findByRole('complementary', { name: 'Tour' });
    expect(bar).toHaveTextContent(`1 of ${TOUR_STEPS.length}. The line`);
    expect(bar).toHaveFocus();
    for (const { path, title } of TOUR_STEPS.slice(1)) {
      press('Next');
      expect(push).toHaveBeenLastCalledWith(`${RIG}${path}`);
      expect(bar).toHaveTextContent(title);
    }
    press('Done');
    expect(screen.queryByRole('complementary', { name: 'Tour' })).toBeNull();
  });

  it('outlines what it speaks of, and takes the outline away when it is left', async () => {
    jest.useFakeTimers();
    try {
      render(
        <>
          <section aria-label="The line" />
          <Tour />
        </>,
      );
      begin();
      await act(async () => jest.advanceTimersByTimeAsync(1000));
      expect(screen.getByRole('region', { name: 'The line' })).toHaveClass('tour-stop');
      fireEvent.keyDown(screen.getByRole('complementary', { name: 'Tour' }), { key: 'Escape' });
      expect(screen.getByRole('region', { name: 'The line' })).not.toHaveClass('tour-stop');
    } finally {
      jest.useRealTimers();
    }
  });

  it('is where it was after a reload, and for that person alone; elsewhere it leads back', async () => {
    document.cookie = 'person=one; path=/';
    const { unmount } = render(<Tour />);
    begin();
    await screen.findByRole('complementary', { name: 'Tour' });
    press('Next');
    unmount();
    pathname = '/boats/boat';
    const again = render(<Tour />);
    expect(await screen.findByText(/2 of \d\. Load/)).toBeInTheDocument();
    press('To this stop');
    expect(push).toHaveBeenLastCalledWith(`${RIG}/load`);
    again.unmount();
    document.cookie = 'person=two; path=/';
    render(<Tour />);
    expect(screen.queryByRole('complementary', { name: 'Tour' })).toBeNull();
  });

  it('is not begun by what is no tour', () => {
    window.localStorage.setItem('tour 1:', JSON.stringify({ rigPath: 'https://elsewhere', at: 0 }));
    render(<Tour />);
    expect(screen.queryByRole('complementary', { name: 'Tour' })).toBeNull();
  });

  it('goes round the rig of the page, else the first that is to be found from it', () => {
    expect(rigToTour(`${RIG}/drag`, [])).toBe(RIG);
    expect(rigToTour('/boats/boat', [{ path: '/boats/boat/gear' }, { path: RIG }])).toBe(RIG);
    expect(rigToTour('/', [{ path: '/boats/boat' }])).toBeNull();
  });

  it('says each stop in sentences that are quickly read', () => {
    for (const { says } of TOUR_STEPS) {
      for (const sentence of says.split(/[.:] /)) expect(sentence.split(' ').length).toBeLessThanOrEqual(20);
    }
  });
});
