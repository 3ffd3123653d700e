import { screen } from '@testing-library/react';
import type { PlanerLookRecord } from '../../core/record/record';
import { calibrated, woundRig } from '../../tests/rigFixture';
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

describe('a card that lags behind its line', () => {
  const accepted = calibrated(woundRig());
  const struck = (): string[] =>
    [...screen.getByRole('img', { name: /^Card of/ }).querySelectorAll('text[text-decoration="line-through"]')].map(
      (each) => each.textContent ?? '',
    );

  it('has its readings struck through, and nothing while they stand', () => {
    renderRig(accepted, <RodCard />);
    expect(lines().length).toBeGreaterThan(20);
    expect(struck()).toEqual([]);
  });

  it('is struck through where line was lost since the counter was accepted', () => {
    const { load } = accepted;
    if (!load) throw new Error('the fixture has no load');
    const lost = {
      id: 'c',
      segmentId: 's2',
      changeM: -14,
      reason: 'lost' as const,
      note: '',
      at: '2026-03-04T00:00:00.000Z',
    };
    renderRig({ ...accepted, load: { ...load, changes: [lost] } }, <RodCard />);
    expect(struck().length).toBeGreaterThan(10);
    expect(struck().every((words) => /^±?[\d.]+$/.test(words))).toBe(true);
    expect(lines().join(' ')).toMatch(/Not confirmed: Count: stale/);
    expect(screen.getByTestId('fold')).toBeInTheDocument();
  });
});
