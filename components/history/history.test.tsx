import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { ActRecord } from '@/core/record/history';
import { ROUTES } from '@/usecases/requests/routes';
import { ACTS_WITH_WORDS, actWords } from '@/words/history';
import { formatterFor } from '@/words/format';
import { woundRig } from '@/tests/rigFixture';
import { renderRig } from '@/tests/renderRig';
import { History } from './History';

const act = (
  id: string,
  request: string,
  asked: ActRecord['asked'] = {},
  undoneBy: string | null = null,
): ActRecord => ({
  id,
  number: Number(id),
  request,
  asked,
  person: null,
  undoneBy,
  at: '2026-04-01T10:00:00.000Z',
});

const acts = [
  act('5', 'undoActs', { fromId: '4', newestId: '4' }),
  act('4', 'recordTrial', { kind: 'tape', trueLengthM: 30, reading: 93 }, '5'),
  act('3', 'workVirtualReel', { act: 'walk' }),
  act('2', 'finishWinding', { levelBelowRimM: 0.002 }),
  act('1', 'noteWinding', { segmentId: 's0', reading: 870 }),
];

describe('the history of a rod', () => {
  it('lists what was done in words, without the handlings of the virtual bench', () => {
    renderRig(woundRig(), <History acts={acts} />);
    expect(screen.getAllByRole('listitem').map((row) => row.textContent)).toEqual([
      expect.stringContaining('Undone: 1 act'),
      expect.stringMatching(/A walk along the tape, 30\.0 m, the counter at 93.*undone/),
      expect.stringContaining('The load was finished, its level 2.0 mm under the rim'),
      expect.stringContaining('End of Backing noted, the counter at 870'),
    ]);
  });

  it('says before an undoing what no longer counts, and sends the newest act that was seen', async () => {
    const sent: { url: string; body: unknown }[] = [];
    globalThis.fetch = jest.fn((url: string, init: RequestInit) => {
      sent.push({ url, body: JSON.parse(String(init.body)) });
      return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ undone: 2 }) } as Response);
    }) as unknown as typeof fetch;
    renderRig(woundRig(), <History acts={acts} />);
    fireEvent.click(screen.getAllByRole('button', { name: 'Undo up to here' }).at(-1) ?? document.body);
    const asked = within(screen.getByRole('alertdialog', { name: 'Undo 3 acts?' }));
    expect(asked.getAllByRole('listitem').map((row) => row.textContent)).toEqual([
      'Undone',
      'The load was finished, its level 2.0 mm under the rim',
      'End of Backing noted, the counter at 870',
    ]);
    fireEvent.click(asked.getByRole('button', { name: 'Undo them' }));
    await waitFor(() =>
      expect(sent).toEqual([{ url: '/api/boats/boat/rigs/rig/undo', body: { fromId: '1', newestId: '5' } }]),
    );
  });

  it('offers no way back from what is undone already, and teaches while it is empty', () => {
    renderRig(woundRig(), <History acts={[act('1', 'noteHang', { hangM: 0.4 }, '2')]} />);
    expect(screen.queryByRole('button', { name: /^Undo/ })).toBeNull();
    renderRig(woundRig(), <History acts={[]} />);
    expect(screen.getByText(/Nothing yet/)).toBeInTheDocument();
  });
});

describe('the words of an act', () => {
  it('are there for every act on a rig', () => {
    const onRig = Object.entries(ROUTES).flatMap(([name, { path }]) => (path.includes(':rigId') ? [name] : []));
    // These name their rig in what they carry.
    expect([...onRig, 'withdraw', 'answer', 'rename', 'putAway'].toSorted()).toEqual(ACTS_WITH_WORDS.toSorted());
  });

  it('stand in the reader’s units, and without what an older version did not keep', () => {
    const feet = formatterFor({ length: 'ft', smallLength: 'in', force: 'lb' });
    const lost = act('1', 'changeLength', { changeM: 14, reason: 'lost', segmentId: 's2' });
    expect(actWords(lost, () => 'Top shot', feet)).toBe('45.9 ft lost from Top shot');
    for (const name of ACTS_WITH_WORDS) {
      expect(actWords(act('1', name), () => null, feet) ?? '').not.toMatch(/undefined|null|NaN/);
    }
  });
});
