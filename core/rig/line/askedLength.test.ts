import { woundRig } from '../../../tests/rigFixture';
import { askedLength } from './askedLength';
import { windingOutlook } from './windingOutlook';

/** The fixture with its first segments on: 0 backing (worked out), 1 lead core (a whole piece), 2 top shot (60 m, typed). */
function bench(on: number) {
  const { load } = woundRig();
  if (!load) throw new Error('the fixture has no load');
  const record = woundRig({
    status: 'winding',
    finishedAt: null,
    levelBelowRimM: null,
    winding: load.winding.slice(0, on),
  });
  const outlook = windingOutlook(record);
  const segment = load.segments[on];
  const now = outlook?.remaining.find((each) => each.segmentId === segment?.segmentId);
  if (!outlook || !segment || now?.stopReading == null) throw new Error('the fixture has nothing to wind');
  const ask = (past: number, entry: Partial<Parameters<typeof askedLength>[3]> = {}) => {
    const reading = ((now.stopReading ?? 0) - past + 1000) % 1000;
    const read = { reading, laps: null, turnsCounted: null, meteredLengthM: null, lengthIs: 'plan' as const, ...entry };
    return askedLength(record, outlook, segment, read);
  };
  return { ask, now };
}

describe('askedLength', () => {
  it('takes the laps that were said: one too many is another length', () => {
    const { ask } = bench(2);
    expect(ask(0, { laps: 0 })).toBeNull();
    expect(ask(0, { laps: 1 })?.past).toBeCloseTo(1000, -1);
  });

  it('asks about a typed length that the counter says was stopped short, or past it', () => {
    const { ask } = bench(2);
    const short = ask(-7);
    expect(short).toMatchObject({ segment: 'Top shot', typedM: 60, by: 'counter', past: expect.closeTo(-7, 0) });
    // A count of this reel is a metre, and near the rim a turn takes about what the counter takes it for.
    expect(short?.saidM).toBeGreaterThan(51);
    expect(short?.saidM).toBeLessThan(55);
    expect(ask(7)?.saidM).toBeGreaterThan(65);
  });

  it('asks nothing of a hand that stopped on the mark, nor where a person or a meter has said', () => {
    const { ask } = bench(2);
    for (const past of [0, 1, -1]) expect(ask(past)).toBeNull();
    expect(ask(-7, { lengthIs: 'counter' })).toBeNull();
    expect(ask(-7, { lengthIs: 'piece' })).toBeNull();
    expect(ask(-7, { meteredLengthM: 60 })).toBeNull();
  });

  it('asks nothing of a length that was worked out: it is what goes on', () => {
    expect(bench(0).ask(-40)).toBeNull();
  });

  it('leaves a whole piece what the counter itself may be off, and no more', () => {
    const { ask } = bench(1);
    expect(ask(-3)).toBeNull();
    expect(ask(-14)).toMatchObject({ segment: 'Lead core', typedM: 27.432 });
  });

  it('takes counted turns the same way', () => {
    const { ask, now } = bench(2);
    expect(ask(0, { turnsCounted: now.turns })).toBeNull();
    expect(ask(0, { turnsCounted: now.turns / 2 })).toMatchObject({ by: 'turns', typedM: 60 });
  });
});
