import { fireEvent, screen, within } from '@testing-library/react';
import { Ribbon } from '../line/Ribbon';
import { useRig } from '../rig/RigProvider';
import { plannedRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { LoadStation } from './LoadStation';

beforeEach(() => window.localStorage.clear());

/** The station under its ribbon, as the frame of a rig has them. */
function Planning() {
  const { view, editor } = useRig();
  return (
    <>
      {view && <Ribbon view={view} orientation="lying" editor={editor} />}
      <LoadStation />
    </>
  );
}

const shown = async () => {
  renderRig(plannedRig(), <Planning />);
  await screen.findByRole('slider', { name: 'Length of Top shot' });
};
const handle = (name: string) => screen.getByRole('slider', { name: `Length of ${name}` });
const lengthOf = (name: string): number => Number(handle(name).getAttribute('aria-valuenow'));
const segments = (): string[] =>
  screen
    .getAllByRole('button', { name: /choose it$/ })
    .map((each) => each.getAttribute('aria-label')?.split(',')[0] ?? '');
const choose = (name: string): void =>
  void fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}, .*choose it$`) }));
const told = (): string => screen.getAllByRole('status')[0]?.textContent ?? '';
/** jsdom draws nothing and captures no pointer: the ribbon is 960 px wide from the left edge. */
function draw(element: HTMLElement): void {
  Object.assign(element, { setPointerCapture: () => undefined });
}
function pointer(element: HTMLElement, kind: 'down' | 'move' | 'up', clientX: number): void {
  const event = new MouseEvent(`pointer${kind}`, { bubbles: true, clientX, clientY: 60 });
  Object.assign(event, { pointerId: 1 });
  fireEvent(element, event);
}

describe('the ribbon of a line that is being planned', () => {
  it('lengthens a segment by keys, and what fills the reel gives way at once', async () => {
    await shown();
    const [shot, backing] = [lengthOf('Top shot'), lengthOf('Backing')];
    fireEvent.keyDown(handle('Top shot'), { key: 'ArrowRight', shiftKey: true });
    expect(lengthOf('Top shot')).toBe(shot + 10);
    expect(lengthOf('Backing')).toBeLessThan(backing - 5);
    fireEvent.keyDown(handle('Top shot'), { key: 'ArrowLeft' });
    expect(lengthOf('Top shot')).toBe(shot + 9);
    expect(screen.getByRole('button', { name: 'Back to what is stored' })).toBeEnabled();
  });

  it('never makes a piece longer by the key that shortens', async () => {
    await shown();
    for (let press = 0; press < 80; press += 1) fireEvent.keyDown(handle('Top shot'), { key: 'ArrowLeft' });
    expect(lengthOf('Top shot')).toBe(1);
    fireEvent.keyDown(handle('Top shot'), { key: 'ArrowLeft', shiftKey: true });
    expect(lengthOf('Top shot')).toBe(1);
  });

  it('lengthens it under a hand, as far as the hand goes', async () => {
    await shown();
    const grip = handle('Top shot');
    draw(grip);
    const [shot, lead] = [lengthOf('Top shot'), lengthOf('Lead core')];
    pointer(grip, 'down', 300);
    pointer(grip, 'move', 340);
    const halfWay = lengthOf('Top shot');
    pointer(grip, 'move', 380);
    pointer(grip, 'up', 380);
    expect(halfWay).toBeGreaterThan(shot);
    // What it is measured by stands still: twice the way is twice the length, to a whole step.
    expect(Math.abs(lengthOf('Top shot') - shot - 2 * (halfWay - shot))).toBeLessThanOrEqual(1);
    expect(lengthOf('Lead core')).toBe(lead);
  });

  it('says why it does not lengthen what is worked out, or what would not fit', async () => {
    await shown();
    const backing = lengthOf('Backing');
    fireEvent.keyDown(handle('Backing'), { key: 'ArrowRight' });
    expect(told()).toMatch(/Backing is worked out, to fill the reel/);
    expect(lengthOf('Backing')).toBe(backing);
    let shot = lengthOf('Top shot');
    for (let press = 0; press < 60 && !/there is room for/.test(told()); press += 1) {
      shot = lengthOf('Top shot');
      fireEvent.keyDown(handle('Top shot'), { key: 'ArrowRight', shiftKey: true });
    }
    expect(told()).toMatch(/^Not done: it would take [\d.]+ .*, and there is room for [\d.]+ /);
    expect(lengthOf('Top shot')).toBe(shot);
  });

  it('lets what is worked out be typed, at the length that it was worked out to', async () => {
    await shown();
    const backing = lengthOf('Backing');
    choose('Backing');
    fireEvent.change(screen.getByLabelText('Backing: whose word its length is'), { target: { value: 'typed' } });
    expect(lengthOf('Backing')).toBeCloseTo(backing, 0);
    fireEvent.keyDown(handle('Backing'), { key: 'ArrowLeft', shiftKey: true });
    expect(lengthOf('Backing')).toBeLessThan(backing - 5);
    choose('Top shot');
    // Another one is worked out instead: what was worked out until then keeps its length.
    const whose = 'Top shot: whose word its length is';
    choose('Backing');
    fireEvent.change(screen.getByLabelText('Backing: whose word its length is'), { target: { value: 'solved' } });
    const filled = lengthOf('Backing');
    choose('Top shot');
    fireEvent.change(screen.getByLabelText(whose), { target: { value: 'solved' } });
    expect(lengthOf('Backing')).toBeCloseTo(filled, 0);
    expect(lengthOf('Top shot')).toBeGreaterThan(0);
    fireEvent.change(screen.getByLabelText(whose), { target: { value: 'piece' } });
    fireEvent.keyDown(handle('Top shot'), { key: 'ArrowRight' });
    expect(told()).toMatch(/Top shot is a whole piece/);
  });

  it('moves, cuts and takes out what is chosen', async () => {
    await shown();
    expect(segments()).toEqual(['Top shot', 'Lead core', 'Backing']);
    choose('Lead core');
    fireEvent.click(screen.getByRole('button', { name: 'Lead core: towards the hook' }));
    expect(segments()).toEqual(['Lead core', 'Top shot', 'Backing']);
    choose('Lead core');
    choose('Top shot');
    const shot = lengthOf('Top shot');
    fireEvent.click(screen.getByRole('button', { name: 'Top shot: cut in two at the cursor' }));
    expect(segments()).toHaveLength(4);
    expect(lengthOf('Top shot') + lengthOf('Top shot, outer part')).toBeCloseTo(shot, 0);
    fireEvent.click(screen.getByRole('button', { name: 'Top shot: take out' }));
    expect(segments()).toEqual(['Lead core', 'Top shot', 'Backing']);
    choose('Backing');
    fireEvent.click(screen.getByRole('button', { name: 'Backing: cut in two at the cursor' }));
    expect(told()).toMatch(/Its length is worked out/);
  });

  it('puts a line from the shelf on, outermost, and in the stack below it has a row', async () => {
    await shown();
    const [line] = plannedRig().products;
    fireEvent.click(screen.getByRole('button', { name: line?.name ?? '' }));
    expect(segments()).toEqual([line?.name, 'Top shot', 'Lead core', 'Backing']);
    const rows = within(screen.getByRole('region', { name: 'The stack, in winding order' })).getAllByRole('listitem');
    expect(rows.at(-1)).toHaveTextContent(`4. ${line?.name}`);
  });

  it('changes places by a drag, and a press is no drag', async () => {
    await shown();
    const grip = screen.getByRole('button', { name: /^Top shot, .*choose it$/ });
    draw(grip);
    pointer(grip, 'down', 40);
    pointer(grip, 'move', 43);
    pointer(grip, 'up', 43);
    expect(segments()).toEqual(['Top shot', 'Lead core', 'Backing']);
    pointer(grip, 'down', 40);
    pointer(grip, 'move', 500);
    pointer(grip, 'up', 500);
    fireEvent.click(grip);
    expect(grip).toHaveAttribute('aria-pressed', 'false');
    expect(segments()[0]).not.toBe('Top shot');
    expect(segments()).toContain('Top shot');
  });
});
