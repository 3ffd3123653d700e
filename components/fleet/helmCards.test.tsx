import { fireEvent, screen, waitFor } from '@testing-library/react';
import { rigView, type RigView } from '../../core/rig/view/rigView';
import { calibrated, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { HelmCards } from './HelmCards';
import { helmHead } from './helmRods';

const confirmed = calibrated(woundRig());

function rod(index: number, record = confirmed): RigView {
  const view = rigView({ ...record, id: `rig ${index}`, name: `Copper rod, ${index} from port` });
  if (!view) throw new Error('the fixture has no view');
  return view;
}
const sheets = () => screen.getAllByRole('img', { name: /^Card for the helm/ });
const struckOn = (sheet: Element | undefined): readonly string[] =>
  [...(sheet?.querySelectorAll('text[text-decoration="line-through"]') ?? [])].map((each) => each.textContent ?? '');

describe('the cards for the helm', () => {
  it('have every reading with its ±, the day, and what is not confirmed struck through', () => {
    renderRig(confirmed, <HelmCards boatName="Halyard Lark" views={[rod(1), rod(2, woundRig())]} />);
    const [sheet] = sheets();
    const words = [...(sheet?.querySelectorAll('text') ?? [])].map((each) => each.textContent ?? '');
    expect(words.filter((each) => /^\d+±\d/.test(each)).length).toBeGreaterThan(10);
    const struck = struckOn(sheet);
    // Of two rods one is confirmed: as many readings stand as are struck through.
    expect(struck.filter((each) => each.includes('±'))).toHaveLength(
      words.filter((each) => /^\d+±\d/.test(each)).length / 2,
    );
    expect(words.join(' ')).toMatch(
      /\d{4}-\d\d-\d\d\. From the hook; ± 95 %\. Struck through: its counter is not confirmed/,
    );
    expect(sheet).toHaveAccessibleName(/not confirmed: Copper rod, 2 from port$/);
  });

  it('keep a figure and its ± in columns of their own in a file', async () => {
    let written: Blob | null = null;
    URL.createObjectURL = (blob) => {
      written = blob as Blob;
      return 'blob:helm';
    };
    URL.revokeObjectURL = () => undefined;
    renderRig(confirmed, <HelmCards boatName="Halyard Lark" views={[rod(1), rod(2, woundRig())]} />);
    fireEvent.click(screen.getByRole('button', { name: 'Keep as CSV' }));
    await waitFor(() => expect(written).not.toBeNull());
    const text = await new Promise<string>((resume) => {
      const reader = new FileReader();
      reader.onload = () => resume(String(reader.result));
      reader.readAsText(written as unknown as Blob);
    });
    const [heads, first] = text.split('\r\n');
    expect(heads).toBe(
      'true,"Copper rod, 1 from port","± of Copper rod, 1 from port","Copper rod, 2 from port, not confirmed","± of Copper rod, 2 from port"',
    );
    expect(first).toMatch(/^[\d.]+ m,\d+,[\d.]+,\d+,[\d.]+$/);
  });

  it('are as many as the rods need, none left out', () => {
    const many = Array.from({ length: 14 }, (_, index) => rod(index + 1));
    renderRig(confirmed, <HelmCards boatName="Halyard Lark" views={many} />);
    expect(sheets()).toHaveLength(3);
    expect(screen.getByText('Helm of Halyard Lark, 3 of 3')).toBeInTheDocument();
    const heads = sheets().map((sheet) => sheet.textContent ?? '');
    for (let index = 1; index <= 14; index += 1)
      expect(heads.some((words) => words.includes(`${index} from`))).toBe(true);
    expect(struckOn(sheets()[0])).toEqual([]);
  });

  it('name a rod by its place, in two lines where one has no room', () => {
    expect(helmHead('Copper rod, port', 9)).toEqual(['port']);
    expect(helmHead('Five-colour rod, second from port', 9)).toEqual(['second', 'from port']);
    expect(helmHead('Copper rod, starboard twin', 9)).toEqual(['starboard', 'twin']);
    expect(helmHead('Rod without a place', 9)).toEqual(['Rod', 'without a']);
  });
});
