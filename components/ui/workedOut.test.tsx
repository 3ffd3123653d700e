import { act, render, screen, waitFor } from '@testing-library/react';
import { useEffect } from 'react';
import { CardBoundary } from './CardBoundary';
import { useThrow, workedOut } from './workedOut';

jest.mock('comlink', () => ({ wrap: (thread: { api: unknown }) => thread.api }));

interface Api {
  sum(): Promise<number>;
}

/** A thread as a browser gives one: its script comes, does not come, or snaps. */
function thread(sum: () => Promise<number>): Worker & { terminate: jest.Mock; onerror: (event: unknown) => void } {
  return { api: { sum }, terminate: jest.fn(), onerror: null } as never;
}

const never = (): Promise<number> => new Promise(() => undefined);
const sumOf = (made: () => Worker) => workedOut<Api, number>(made, (worker) => worker.sum());

describe('work beside the page', () => {
  beforeEach(() => {
    jest.useFakeTimers();
    window.fetch = jest.fn(() => Promise.reject(new TypeError('no network'))) as unknown as typeof fetch;
  });
  afterEach(() => jest.useRealTimers());

  it('ends with its result', async () => {
    const made = thread(() => Promise.resolve(5));
    await expect(sumOf(() => made).found).resolves.toBe(5);
    expect(made.terminate).toHaveBeenCalled();
  });

  it.each([
    new Event('error'),
    { message: "Uncaught NetworkError: Failed to execute 'importScripts' on 'WorkerGlobalScope'" },
  ])('is asked for again where its script, or one that this asks for, did not come', async (event) => {
    const threads = [thread(never), thread(() => Promise.resolve(5))];
    const make = jest.fn(() => threads.shift() as Worker);
    const first = threads[0];
    const { found } = sumOf(make);
    first?.onerror(event);
    await act(() => jest.advanceTimersByTimeAsync(1500));
    await expect(found).resolves.toBe(5);
    expect(make).toHaveBeenCalledTimes(2);
  });

  it('is not asked for again once nobody waits for it', async () => {
    const made = thread(never);
    const make = jest.fn(() => made);
    const { stop } = sumOf(make);
    made.onerror(new Event('error'));
    stop();
    await act(() => jest.advanceTimersByTimeAsync(20_000));
    expect(make).toHaveBeenCalledTimes(1);
    expect(made.terminate).toHaveBeenCalled();
    // What it says while it ends is heard by nobody.
    expect(made.onerror).toBeNull();
  });

  it('says a fault of its own in its place', async () => {
    jest.useRealTimers();
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const made = thread(never);
    function Sum() {
      const fail = useThrow();
      useEffect(() => void sumOf(() => made).found.catch(fail), [fail]);
      return <p>adding</p>;
    }
    render(
      <CardBoundary title="The sum">
        <Sum />
      </CardBoundary>,
    );
    expect(screen.getByText('adding')).toBeInTheDocument();
    act(() => made.onerror({ message: 'snapped' }));
    await waitFor(() => expect(screen.getByRole('alert')).toHaveTextContent(/The sum cannot be drawn/));
  });
});
