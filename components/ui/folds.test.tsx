import { fireEvent, render, screen } from '@testing-library/react';
import { CollapsibleCard } from './CollapsibleCard';

beforeEach(() => {
  window.localStorage.clear();
  window.history.replaceState(null, '', '/');
});

const fold = () =>
  render(
    <CollapsibleCard id="why" title="Why" line="in a line">
      <p>because</p>
    </CollapsibleCard>,
  );
const press = (): boolean => fireEvent.click(screen.getByRole('button', { name: /^Why/ }));

describe('a fold', () => {
  it('stays as it was left, and its address opens it', () => {
    const { unmount } = fold();
    expect(screen.queryByText('because')).toBeNull();
    press();
    expect(screen.getByText('because')).toBeInTheDocument();
    expect(window.location.hash).toBe('#why');
    unmount();
    window.history.replaceState(null, '', '/');
    fold();
    expect(screen.getByText('because')).toBeInTheDocument();
    press();
    expect(screen.queryByText('because')).toBeNull();
  });

  it('opens where storage is full, and where what is kept is nonsense', () => {
    window.localStorage.setItem('folds 1', '{"all":1,"byHand":null}');
    fold();
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    press();
    expect(screen.getByText('because')).toBeInTheDocument();
    press();
    expect(screen.queryByText('because')).toBeNull();
    full.mockRestore();
    press();
    expect(window.localStorage.getItem('folds 1')).toContain('"why":true');
  });
});
