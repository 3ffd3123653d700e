import { act, fireEvent, render, screen } from '@testing-library/react';
import { Toasts } from '../ui/Toasts';
import { SavingLine } from './SavingLine';
import { useSend } from './useSend';

type Answer = (response: { status: number; json: unknown }) => void;

/** An answer whose end never came. */
const BROKEN_OFF = 'broken off';

/** Requests that were sent and not answered yet; one whose signal is stopped fails, as a browser's does. */
let sent: { readonly key: string | undefined; readonly answer: Answer }[];

beforeEach(() => {
  jest.useFakeTimers();
  sent = [];
  globalThis.fetch = jest.fn(
    (_path: string, { headers, signal }: { headers: Record<string, string>; signal: AbortSignal | null }) =>
      new Promise((resume, refuse) => {
        signal?.addEventListener('abort', () => refuse(new Error('stopped')));
        sent.push({
          key: headers['x-once-key'],
          answer: ({ status, json }) =>
            resume({
              ok: status < 300,
              status,
              json: () => (json === BROKEN_OFF ? Promise.reject(new SyntaxError('cut')) : Promise.resolve(json)),
              headers: new Headers(),
            } as Response),
        });
      }),
  ) as unknown as typeof fetch;
});
afterEach(() => jest.useRealTimers());

function Probe() {
  const { sendNow, state } = useSend();
  const press = (): void => {
    void sendNow('undoActs', { boatId: 'boat', rigId: 'rig' }, { fromId: 'a', newestId: 'a' }, 'It is stored.');
  };
  return (
    <button type="button" disabled={state.kind === 'sending'} onClick={press}>
      store it
    </button>
  );
}

const renderProbe = () =>
  render(
    <Toasts>
      <Probe />
      <SavingLine />
    </Toasts>,
  );

const settle = (ms = 0) => act(() => jest.advanceTimersByTimeAsync(ms));

describe('what is sent', () => {
  it('shows from the press on that it is heard, and says when it is stored', async () => {
    renderProbe();
    fireEvent.click(screen.getByText('store it'));
    expect(screen.getByText('Saving …')).toBeInTheDocument();
    expect(screen.getByText('store it')).toBeDisabled();
    sent[0]?.answer({ status: 200, json: {} });
    await settle();
    expect(screen.queryByText('Saving …')).toBeNull();
    expect(screen.getByTestId('saved')).toBeInTheDocument();
    expect(screen.getAllByText('It is stored.').length).toBeGreaterThan(0);
    expect(screen.getByText('store it')).toBeEnabled();
  });

  it('that is long on its way can be waited for no longer, and is the same act when it is pressed again', async () => {
    renderProbe();
    fireEvent.click(screen.getByText('store it'));
    await settle(3100);
    fireEvent.click(screen.getByText('Stop waiting'));
    await settle();
    expect(screen.getAllByText(/You stopped waiting.*stored once, even if it got through/).length).toBeGreaterThan(0);
    expect(screen.queryByText('Still saving …')).toBeNull();
    expect(screen.queryByTestId('saved')).toBeNull();
    fireEvent.click(screen.getByText('store it'));
    await settle();
    expect(sent).toHaveLength(2);
    expect(sent[1]?.key).toBe(sent[0]?.key);
    expect(sent[1]?.key).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('and answered by something that is not the application is not said to be stored nowhere', async () => {
    renderProbe();
    fireEvent.click(screen.getByText('store it'));
    sent[0]?.answer({ status: 502, json: 'Bad gateway' });
    await settle();
    expect(
      screen.getAllByText(/Something other than Tidy Marlin answered.*even if it got through/).length,
    ).toBeGreaterThan(0);
    fireEvent.click(screen.getByText('store it'));
    sent[1]?.answer({ status: 404, json: 'Not here' });
    await settle();
    expect(screen.getAllByText(/Something other than Tidy Marlin answered. Nothing was stored/).length).toBeGreaterThan(
      0,
    );
    expect(sent[1]?.key).toBe(sent[0]?.key);
  });

  it('and whose answer broke off is the same act when it is pressed again', async () => {
    renderProbe();
    fireEvent.click(screen.getByText('store it'));
    sent[0]?.answer({ status: 200, json: BROKEN_OFF });
    await settle();
    expect(screen.getAllByText(/cannot be reached.*stored once, even if it got through/).length).toBeGreaterThan(0);
    fireEvent.click(screen.getByText('store it'));
    await settle();
    expect(sent[1]?.key).toBe(sent[0]?.key);
    // Answered in full, the same words are a new act.
    sent[1]?.answer({ status: 200, json: {} });
    await settle();
    fireEvent.click(screen.getByText('store it'));
    await settle();
    expect(sent[2]?.key).not.toBe(sent[0]?.key);
  });
});
