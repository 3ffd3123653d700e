import { act, renderHook } from '@testing-library/react';
import { useInstrument } from './useInstrument';

const shown = (reading: unknown) =>
  renderHook(({ now }) => useInstrument('peak', now), { initialProps: { now: reading } });

beforeEach(() => window.localStorage.clear());

describe('what a reading was read with', () => {
  it('is the instrument as long as its very reading stands there, over a reload too', () => {
    const first = shown(null);
    expect(first.result.current.instrument).toBe('read by eye');
    act(() => first.result.current.readBy('virtual scale', { text: '14.2', unit: 'N' }));
    first.rerender({ now: { text: '14.2', unit: 'N' } });
    expect(first.result.current.instrument).toBe('virtual scale');
    first.unmount();
    expect(shown({ text: '14.2', unit: 'N' }).result.current.instrument).toBe('virtual scale');
  });

  it('is the eye for whatever a person types over it, and once it is stored', () => {
    const { result, rerender } = shown('845');
    act(() => result.current.readBy('virtual counter', '845'));
    expect(result.current.instrument).toBe('virtual counter');
    rerender({ now: '846' });
    expect(result.current.instrument).toBe('read by eye');
    rerender({ now: '845' });
    act(() => result.current.forget());
    expect(result.current.instrument).toBe('read by eye');
  });

  it('is the eye where an older version kept something else', () => {
    window.localStorage.setItem('draft:peak:instrument', '"virtual scale"');
    expect(shown('845').result.current.instrument).toBe('read by eye');
  });
});
