import { act, fireEvent, render, screen } from '@testing-library/react';
import { isText, useDraft } from '../fields/useDraft';
import { Tour } from '../tour/Tour';
import { goToStop } from '../tour/tourStore';
import { deviceText, keepDeviceText } from './deviceStore';

function Field() {
  const [typed, setTyped] = useDraft('what', isText);
  return <input aria-label="What" value={typed ?? ''} onChange={(event) => setTyped(event.target.value)} />;
}

/** A storage that has no room left, or that the browser refuses. */
function closeStorage(): void {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('no room', 'QuotaExceededError');
  });
  jest.spyOn(Storage.prototype, 'removeItem').mockImplementation(() => {
    throw new DOMException('refused', 'SecurityError');
  });
}

afterEach(() => {
  jest.restoreAllMocks();
  window.localStorage.clear();
});

describe('what this device keeps', () => {
  it('goes on where storage is full: what is typed stands there, over what storage still has of before', () => {
    render(<Field />);
    const field = screen.getByLabelText('What');
    fireEvent.change(field, { target: { value: 'taken' } });
    expect(window.localStorage.getItem('draft:what')).toBe('"taken"');
    closeStorage();
    fireEvent.change(field, { target: { value: 'taken, and more' } });
    expect(field).toHaveValue('taken, and more');
    jest.restoreAllMocks();
    fireEvent.change(field, { target: { value: 'room again' } });
    expect(window.localStorage.getItem('draft:what')).toBe('"room again"');
  });

  it('is forgotten where storage would not hear of it', () => {
    keepDeviceText('gone', 'still here');
    closeStorage();
    keepDeviceText('gone', null);
    expect(deviceText('gone')).toBeNull();
    jest.restoreAllMocks();
    keepDeviceText('gone', null);
  });

  it('lets a tour go on, and be left', async () => {
    closeStorage();
    render(<Tour />);
    act(() => goToStop('/boats/boat/rigs/rig', 0));
    const bar = await screen.findByRole('complementary', { name: 'Tour' });
    const [first] = [bar.textContent];
    fireEvent.click(screen.getByRole('button', { name: 'Next' }));
    expect(bar.textContent).not.toBe(first);
    fireEvent.keyDown(bar, { key: 'Escape' });
    expect(screen.queryByRole('complementary', { name: 'Tour' })).toBeNull();
  });
});
