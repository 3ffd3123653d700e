import { act, render, screen } from '@testing-library/react';
import { fetched } from './fetched';
import { MISSING_WORDS } from './shown';
import { Toasts } from './Toasts';

/** What the bundler throws where a script does not come. */
const lost = (): Error => Object.assign(new Error('Failed to load chunk'), { name: 'ChunkLoadError' });

/** A load that fails so many times before it brings its part. */
function failing(times: number): () => Promise<string> {
  let left = times;
  return () => ((left -= 1) < 0 ? Promise.resolve('the part') : Promise.reject(lost()));
}

const pass = (ms: number): Promise<void> => act(() => jest.advanceTimersByTimeAsync(ms));

describe('a part of the page that does not come', () => {
  const ask = jest.fn<Promise<unknown>, []>();

  beforeEach(() => {
    jest.useFakeTimers();
    window.fetch = ask as unknown as typeof fetch;
  });
  afterEach(() => jest.useRealTimers());

  it('is tried again until it comes, and the page says so until then', async () => {
    ask.mockRejectedValue(new TypeError('no network'));
    render(<Toasts>stands</Toasts>);
    const came = jest.fn();
    void fetched(failing(3)).then(came);
    await pass(100);
    expect(screen.getAllByText(MISSING_WORDS.away)).not.toHaveLength(0);
    await pass(4000);
    expect(came).not.toHaveBeenCalled();
    await pass(4000);
    expect(came).toHaveBeenCalledWith('the part');
    expect(screen.queryByText(MISSING_WORDS.away)).not.toBeInTheDocument();
    expect(screen.getByText('stands')).toBeInTheDocument();
  });

  it('is of an older build where the server answers: the page asks to be loaded again', async () => {
    ask.mockResolvedValue({ ok: false, status: 404 });
    render(<Toasts>stands</Toasts>);
    void fetched(failing(2));
    await pass(100);
    // Once is no sign of it.
    expect(screen.queryByText(MISSING_WORDS.older)).not.toBeInTheDocument();
    await pass(1000);
    expect(screen.getAllByText(MISSING_WORDS.older)).not.toHaveLength(0);
    expect(screen.getByRole('button', { name: 'Load it again' })).toBeInTheDocument();
    await pass(3000);
    expect(screen.queryByText(MISSING_WORDS.older)).not.toBeInTheDocument();
  });

  it('throws what else is wrong with it, at once', async () => {
    ask.mockReset();
    await expect(fetched(() => Promise.reject(new Error('snapped')))).rejects.toThrow('snapped');
    expect(ask).not.toHaveBeenCalled();
  });
});
