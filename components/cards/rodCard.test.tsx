import { screen } from '@testing-library/react';
import type { PlanerLookRecord } from '../../core/record/record';
import { woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { RodCard } from './RodCard';

const look = (leverPosition: number, creep: PlanerLookRecord['creep'], holdsN: number | null): PlanerLookRecord => ({
  ...{ id: `${leverPosition}`, planer: 'number 2', speedMS: 3.09, leverPosition, holdsN, creep, isSet: true },
  ...{ presetTurns: null, handPull: null, strike: null, instrument: 'read by eye', at: '' },
  ...{ heading: 'into the waves', current: 'with you' },
});
const lines = () =>
  [...screen.getByRole('img', { name: /^Card of/ }).querySelectorAll('text')].map((each) => each.textContent);

describe('the card of a rod', () => {
  it('tells by feel where the lever holds the planer in each water, in lines that fit', () => {
    renderRig({ ...woundRig(), planerLooks: [look(0.3, 'much', null), look(0.5, 'none', null)] }, <RodCard />);
    const words = lines().join(' ');
    expect(words).toMatch(/Planer number 2 at 6\.0 kn; lever: ordinary \d+.%, following sea \d+.%/);
    expect(words).toMatch(/Ease after the strike\./);
    expect(words).not.toMatch(/pulls/);
    expect(Math.max(...lines().map((line) => line?.length ?? 0))).toBeLessThanOrEqual(74);
  });

  it('has its pull too, where anybody knows it, and nothing of a planer that was never towed', () => {
    renderRig({ ...woundRig(), planerLooks: [look(0.3, 'much', 40), look(0.5, 'none', 70)] }, <RodCard />);
    expect(lines().join(' ')).toMatch(/Planer number 2 at 6\.0 kn, pulls [\d.]+ kg to [\d.]+ kg; lever/);
  });

  it('says nothing of a planer that nobody towed', () => {
    renderRig(woundRig(), <RodCard />);
    expect(lines().join(' ')).not.toMatch(/[Pp]laner/);
  });
});
