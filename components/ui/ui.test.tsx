import { fireEvent, render, screen } from '@testing-library/react';
import { Card, Caution } from './Card';
import { StateMark } from './StateMark';
import { Toasts, useToast } from './Toasts';

describe('a card', () => {
  it('holds a fault of its own within it, and tries again when asked', () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    let isBroken = true;
    function Fragile() {
      if (isBroken) throw new Error('snapped');
      return <p>drawn</p>;
    }
    render(
      <>
        <Card title="The spool">
          <Fragile />
        </Card>
        <Card title="The line">stands</Card>
      </>,
    );
    expect(screen.getByRole('alert')).toHaveTextContent(/The spool cannot be drawn/);
    expect(screen.getByText('stands')).toBeInTheDocument();
    isBroken = false;
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(screen.getByText('drawn')).toBeInTheDocument();
  });
});

describe('a station’s mark', () => {
  it.each(['done', 'stale', 'due', 'not needed'] as const)('says %s in words, not by colour alone', (state) => {
    const { container } = render(<StateMark state={state} />);
    expect(screen.getByText(state)).toBeInTheDocument();
    expect(container.querySelector('svg')).toHaveAttribute('aria-hidden');
  });
});

describe('a caution', () => {
  it('is a note that names itself', () => {
    render(<Caution>Eye protection on.</Caution>);
    expect(screen.getByRole('note')).toHaveTextContent('Caution');
  });
});

describe('toasts', () => {
  function Probe() {
    const toast = useToast();
    return (
      <button type="button" onClick={() => toast('The walk is recorded.', 'done')}>
        say
      </button>
    );
  }

  it('show a message that can be closed', () => {
    render(
      <Toasts>
        <Probe />
      </Toasts>,
    );
    fireEvent.click(screen.getByText('say'));
    expect(screen.getAllByText('The walk is recorded.').length).toBeGreaterThan(0);
    fireEvent.click(screen.getByLabelText('Close this message'));
    expect(screen.queryByLabelText('Close this message')).toBeNull();
  });

  it('offer to undo the last thing that was done alone', () => {
    const undone: string[] = [];
    function Acts() {
      const toast = useToast();
      const say = (what: string) => () =>
        toast(what, 'done', { label: 'Undo', meaning: 'Undo it', act: () => undone.push(what) });
      return ['first', 'second'].map((what) => (
        <button key={what} type="button" onClick={say(what)}>
          do the {what}
        </button>
      ));
    }
    render(
      <Toasts>
        <Acts />
      </Toasts>,
    );
    fireEvent.click(screen.getByText('do the first'));
    fireEvent.click(screen.getByText('do the second'));
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }));
    expect(undone).toEqual(['second']);
  });

  it('take their own room at the foot of the page, two at a time', () => {
    Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, get: () => 52 });
    const { unmount } = render(
      <Toasts>
        <Probe />
      </Toasts>,
    );
    for (let press = 0; press < 3; press += 1) fireEvent.click(screen.getByText('say'));
    expect(screen.getAllByLabelText('Close this message')).toHaveLength(2);
    const dock = (): string => document.documentElement.style.getPropertyValue('--dock');
    expect(dock()).toBe('52px');
    unmount();
    expect(dock()).toBe('');
  });
});
