import { screen } from '@testing-library/react';
import type { RigRecord } from '@/core/record/record';
import { trial, woundRig } from '../../tests/rigFixture';
import { renderRig } from '../../tests/renderRig';
import { CountStation } from './CountStation';

const walks = (rig: RigRecord, ...readings: readonly number[]): RigRecord => ({
  ...rig,
  trials: readings.map((reading, index) => ({ ...trial(reading), id: `walk ${index}` })),
});

/** The wound rig of which nobody noted the counter while it went on, nor the level. */
function neverLogged(): RigRecord {
  const rig = woundRig({ levelBelowRimM: null });
  const { load } = rig;
  if (!load) throw new Error('the fixture is broken');
  return { ...rig, load: { ...load, winding: load.winding.map((stop) => ({ ...stop, reading: null })) } };
}

/** A reel full of nylon that goes on uncut, with a level that was read. */
function plain(rig: RigRecord): RigRecord {
  const { load } = rig;
  const [backing] = load?.segments ?? [];
  const [winding] = load?.winding ?? [];
  if (!load || !backing || !winding) throw new Error('the fixture is broken');
  const lengthM = 180;
  return {
    ...rig,
    segments: rig.segments.slice(0, 1).map((segment) => ({ ...segment, lengthM })),
    load: { ...load, segments: [{ ...backing, plannedLengthM: lengthM, solved: false }], winding: [winding] },
  };
}

describe('what a counter rests on', () => {
  it('is one measurement: the answer says which, and what would be known without it', () => {
    renderRig(walks(neverLogged(), 30), <CountStation />);
    const said = screen.getByText(/This rests on one measurement, walk: without it/);
    const now = Number(/± ([\d.]+)/.exec(screen.getByText(/at a true/).parentElement?.textContent ?? '')?.[1]);
    const without = Number(/± ([\d.]+) counts only/.exec(said.textContent ?? '')?.[1]);
    expect(without).toBeGreaterThanOrEqual(2 * now);
    expect(screen.getByText('It rests on your test of the line as it is and every level that was read.')).toBeVisible();
  });

  it('is several that agree: nothing is said to rest on one', () => {
    renderRig(walks(woundRig(), 30, 30), <CountStation />);
    expect(screen.queryByText(/rests on one measurement/)).toBeNull();
    expect(screen.queryByText(/disagree/)).toBeNull();
    expect(screen.getByText(/test of the line as it is, the winding log and every level/)).toBeVisible();
  });

  it('is two walks that cannot both be right: neither is blamed, and each is told by what it said', () => {
    renderRig(walks(neverLogged(), 26, 33), <CountStation />);
    expect(
      screen.getByText(/One of these disagrees, and nothing tells which: walk \(it said 26\), walk \(it said 33\)\./),
    ).toHaveTextContent(/every ± of this counter is \d+\.\d times as wide/);
  });

  it('is a walk against another, a log and a level: it is the odd one', () => {
    renderRig(walks(woundRig(), 30, 34), <CountStation />);
    expect(screen.getByText(/It is walk \(it said 34\) that fits least\./)).toBeVisible();
  });
});

describe('advice to strip', () => {
  it('says how likely one step of it makes the counter true', () => {
    renderRig(walks(plain(woundRig()), 28), <CountStation />);
    expect(screen.getByText(/one such step makes it true to within 1 % in (\d of 10 cases|nearly all)/)).toBeVisible();
  });
});
