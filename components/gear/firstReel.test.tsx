import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { Toasts } from '@/components/ui/Toasts';
import { UnitsProvider } from '@/components/units/UnitsProvider';
import { FirstReel } from './FirstReel';

const sent: unknown[] = [];
beforeEach(() => {
  window.localStorage.clear();
  sent.length = 0;
  globalThis.fetch = jest.fn((_: string, init: RequestInit) => {
    sent.push(JSON.parse(String(init.body)));
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ id: 'rig' }) } as Response);
  }) as unknown as typeof fetch;
});

test('five questions are sent in SI, defaults for what nobody touched; an unreadable one stops it', async () => {
  render(
    <UnitsProvider initial={{ length: 'ft', smallLength: 'mm', force: 'lb' }}>
      <Toasts>
        <FirstReel boatId="boat" />
      </Toasts>
    </UnitsProvider>,
  );
  const type = (label: string, value: string): void => {
    fireEvent.change(screen.getByLabelText(label), { target: { value } });
  };
  type('So much line', '800');
  type('so thick', '0.38');
  type('Thickness', '0.42');
  fireEvent.click(screen.getByRole('button', { name: 'How much backing?' }));
  await waitFor(() => expect(screen.getByLabelText('Length')).toHaveAttribute('aria-invalid', 'true'));
  expect(sent).toEqual([]);
  type('Length', '300');
  fireEvent.click(screen.getByRole('button', { name: 'How much backing?' }));
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]).toEqual({
    ...{ name: 'First reel', countsIn: 'feet', material: 'nylon', backingThicknessM: null },
    holdsM: expect.closeTo(243.84, 6),
    ofThicknessM: expect.closeTo(0.00038, 12),
    thicknessM: expect.closeTo(0.00042, 12),
    lengthM: expect.closeTo(91.44, 6),
  });
});

test('a reel that counts feet is spoken of in feet from then on, unless units were chosen', async () => {
  const shown = async (): Promise<void> => {
    const { unmount } = render(
      <UnitsProvider initial={{ length: 'm', smallLength: 'mm', force: 'kg' }}>
        <Toasts>
          <FirstReel boatId="boat" />
        </Toasts>
      </UnitsProvider>,
    );
    const before = sent.length;
    for (const [label, value] of [
      ['So much line', '240'],
      ['so thick', '0.38'],
      ['Thickness', '0.42'],
      ['Length', '90'],
    ] as const) {
      fireEvent.change(screen.getByLabelText(label), { target: { value } });
    }
    fireEvent.click(screen.getByRole('button', { name: 'How much backing?' }));
    await waitFor(() => expect(sent).toHaveLength(before + 1));
    await waitFor(() => expect(document.cookie).toMatch(/units=/));
    unmount();
  };
  document.cookie = 'units=; max-age=0; path=/';
  await shown();
  expect(document.cookie).toMatch(/units=ft\./);
  document.cookie = 'units=m.mm.kg; path=/';
  window.localStorage.clear();
  await shown();
  expect(document.cookie).toMatch(/units=m\./);
  document.cookie = 'units=; max-age=0; path=/';
});
