import { fireEvent, screen, waitFor } from '@testing-library/react';
import { trial, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { CountStation } from './CountStation';

it('a walk that contradicts everything else is asked about, with what all else says', async () => {
  const sent: { url: string; body: unknown }[] = [];
  globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
    sent.push({ url, body: JSON.parse(String(init.body)) });
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ done: true }) } as Response);
  }) as unknown as typeof fetch;
  renderRig({ ...woundRig(), openTrials: [{ ...trial(18), heldOut: true }] }, <CountStation />);
  expect(screen.getByRole('alert')).toHaveTextContent(
    /30\.0 m showed 18, where all else says \d+ ± \d+\..*counts for nothing/,
  );
  fireEvent.click(screen.getByRole('button', { name: 'It is wrong: take it back' }));
  await waitFor(() => expect(sent[0]).toMatchObject({ url: '/api/boats/boat/withdrawals', body: { kind: 'trial' } }));
});
