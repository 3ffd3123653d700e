import { act, fireEvent, render, screen } from '@testing-library/react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { BenchSheet } from './BenchSheet';
import { NumberPad } from './NumberPad';

describe('the number pad', () => {
  const steps: number[] = [];
  const typed: string[] = [];
  beforeEach(() => {
    steps.length = 0;
    typed.length = 0;
    jest.useFakeTimers();
    render(
      <NumberPad
        disabled={false}
        onDigit={(digit) => typed.push(digit)}
        onErase={() => typed.push('erased')}
        onStep={(counts) => steps.push(counts)}
      />,
    );
  });
  afterEach(() => jest.useRealTimers());

  it('types digits and takes the last one back', () => {
    for (const name of ['9', '0', 'Take the last digit back']) fireEvent.click(screen.getByRole('button', { name }));
    expect(typed).toEqual(['9', '0', 'erased']);
  });

  it('steps by one and by ten', () => {
    for (const name of ['One count more', 'One count less', '10 counts more', '10 counts less'])
      fireEvent.click(screen.getByRole('button', { name }));
    expect(steps).toEqual([1, -1, 10, -10]);
  });

  it('repeats a step for as long as it is held, and a hold is no press of its own', () => {
    const more = screen.getByRole('button', { name: 'One count more' });
    fireEvent.pointerDown(more);
    act(() => void jest.advanceTimersByTime(440));
    expect(steps).toEqual([]);
    act(() => void jest.advanceTimersByTime(300));
    expect(steps.length).toBeGreaterThan(2);
    const held = steps.length;
    fireEvent.pointerUp(more);
    fireEvent.click(more);
    act(() => void jest.advanceTimersByTime(1000));
    expect(steps).toHaveLength(held);
    fireEvent.click(more);
    expect(steps).toHaveLength(held + 1);
  });

  it('stops when the thumb slides off', () => {
    const more = screen.getByRole('button', { name: '10 counts more' });
    fireEvent.pointerDown(more);
    act(() => void jest.advanceTimersByTime(600));
    const held = steps.length;
    fireEvent.pointerLeave(more);
    act(() => void jest.advanceTimersByTime(1000));
    expect(steps).toHaveLength(held);
  });
});

describe('the bench sheet', () => {
  function Sheet({ onKey }: { onKey: (key: string) => void }) {
    const [gone, setGone] = useState(false);
    return (
      <BenchSheet onKey={(event) => onKey(event.key)} onLeave={() => undefined}>
        <Dialog.Title>Bench</Dialog.Title>
        <button type="button">Stays</button>
        {!gone && (
          <button type="button" onClick={() => setGone(true)}>
            Goes
          </button>
        )}
        <input aria-label="Field" />
      </BenchSheet>
    );
  }

  it('hears keys again after a button was pressed, and after one that went away', async () => {
    const heard: string[] = [];
    render(<Sheet onKey={(key) => heard.push(key)} />);
    const sheet = screen.getByRole('dialog');
    for (const name of ['Stays', 'Goes']) {
      const button = screen.getByRole('button', { name });
      button.focus();
      fireEvent.click(button);
      await act(() => Promise.resolve());
      expect(sheet).toHaveFocus();
      fireEvent.keyDown(document.activeElement ?? document.body, { key: 'u' });
    }
    expect(heard).toEqual(['u', 'u']);
  });

  it('leaves the focus in a field that is being typed into', () => {
    render(<Sheet onKey={() => undefined} />);
    const field = screen.getByLabelText('Field');
    field.focus();
    fireEvent.click(field);
    expect(field).toHaveFocus();
  });
});
