import { readFileSync } from 'node:fs';
import { allPairs, ENDS, pairTable } from '../../tests/joinPairs';
import { chooseJoin, type JoinPlaceKnown } from './chooseJoin';
import { leaderAgainstPurpose } from './leaderPurpose';
import { putBetween } from './putBetween';
import { endsOf, whyNoSuchEnd, type LineToJoin } from './ends';
import { END_MAKERS, JOIN_KIND_NAMES, type JoinKind } from './joinKinds';

const nobody = { tested: {}, tied: {} };
const anywhere: JoinPlaceKnown = {
  ...{ smallestOpeningM: null, isOnSpool: null, isOutside: false, purpose: null, passesM: null },
};
const end = (name: string, change: Partial<LineToJoin> = {}): LineToJoin => {
  const found = ENDS.find((each) => each.name === name);
  if (!found) throw new Error(`no end ${name}`);
  return { ...found, ...change };
};
const choose = (inner: LineToJoin | null, outer: LineToJoin, place: Partial<JoinPlaceKnown> = {}) =>
  chooseJoin(inner, outer, { ...anywhere, ...place }, nobody);
const kinds = (inner: LineToJoin | null, outer: LineToJoin, place: Partial<JoinPlaceKnown> = {}) =>
  choose(inner, outer, place).ranked.map(({ kind }) => kind);
const against = (inner: LineToJoin | null, outer: LineToJoin, kind: JoinKind, place: Partial<JoinPlaceKnown> = {}) =>
  choose(inner, outer, place).impossible.find((each) => each.kind === kind)?.why.reason;

describe('all pairs of ends that are known', () => {
  const pairs = allPairs();

  it('are more than 150, and each has a join but what no arbor can be tied with', () => {
    expect(pairs.length).toBeGreaterThanOrEqual(150);
    const none = pairs.filter(({ choice }) => choice.ranked.length === 0);
    expect(none.every(({ inner }) => inner === null)).toBe(true);
    expect(none.map(({ outer }) => outer.name)).toEqual([
      'lead core, bonded',
      'copper wire',
      'stainless wire',
      'fly line, looped',
    ]);
    for (const { outer } of none) expect(putBetween(null, outer, anywhere)).toContain('nylon');
  });

  // Common practice, no source: what a wrong join costs is a lost fish.
  it('are never told what a rule forbids', () => {
    for (const { inner, outer, choice } of pairs) {
      const [best] = choice.ranked;
      if (!best || !inner) continue;
      const materials = [inner.material, outer.material];
      const has = (...of: string[]) => of.some((material) => materials.includes(material));
      if (has('lead core')) {
        // Nothing is tied over lead: it is pulled out, or the bonded line is folded whole.
        const lead = [inner, outer].findIndex(({ material }) => material === 'lead core');
        const isBonded = [inner, outer][lead]?.construction === 'bonded sheath';
        expect(best.ends[lead]).toBe(isBonded || best.kind === 'wraps-over-fold' ? 'plain' : 'sheath');
        expect(best.kind).not.toBe('loop-to-loop');
        expect(best.kind).not.toBe('plaited-braid-to-leader');
      }
      if (has('fly line')) expect(['double-sliding-knot', 'plaited-braid-to-leader']).not.toContain(best.kind);
      if (has('copper wire', 'stainless wire'))
        expect(['double-sliding-knot', 'plaited-braid-to-leader', 'sleeve-splice']).not.toContain(best.kind);
      // A swivel is the first choice only where nothing else is possible.
      if (best.kind === 'small-swivel') expect(choice.ranked).toHaveLength(1);
      expect(best.parts.at(-1)).toEqual({ kind: best.kind, of: 'join' });
      for (const part of best.parts.slice(0, -1)) expect(END_MAKERS).toContain(part.kind);
      for (const { plusMinus, efficiency } of choice.ranked) {
        expect(plusMinus).toBeGreaterThan(0.05);
        expect(efficiency).toBeLessThanOrEqual(1);
      }
    }
  });

  it('say something of every kind, for or against', () => {
    for (const { choice } of pairs) {
      const said = [...choice.ranked, ...choice.impossible].map(({ kind }) => kind);
      expect(said.toSorted()).toEqual(JOIN_KIND_NAMES.toSorted());
    }
  });

  it('stand in docs/joins.md as they are chosen', () => {
    const table = (text: string) =>
      text
        .split('\n')
        .filter((line) => line.startsWith('|') && !line.includes('---'))
        .map((line) => line.split('|').map((cell) => cell.trim()));
    const kept = table(readFileSync('docs/joins.md', 'utf8'));
    const now = table(pairTable());
    expect(kept.filter((row) => row.length === now[0]?.length)).toEqual(now);
  });
});

describe('the choice of a join', () => {
  it('keeps a swivel to the leader, where it passes, and never under line', () => {
    const [lead, leader] = [end('lead core'), end('thin fluorocarbon')];
    expect(kinds(lead, leader, { isOnSpool: false, smallestOpeningM: 0.005 })).toContain('small-swivel');
    expect(against(lead, leader, 'small-swivel', { isOnSpool: true })).toBe('swivel-under-line');
    expect(against(lead, leader, 'small-swivel', { isOnSpool: false, smallestOpeningM: 0.0015 })).toBe(
      'swivel-too-big',
    );
    expect(kinds(lead, leader, { isOutside: true, smallestOpeningM: 0.0015 })).toContain('small-swivel');
    // Twist is what it is for.
    expect(kinds(lead, leader, { isOnSpool: false, smallestOpeningM: 0.005, purpose: 'no twist' })[0]).toBe(
      'small-swivel',
    );
    expect(kinds(lead, leader, { isOnSpool: false, smallestOpeningM: 0.005, purpose: 'unseen' })[0]).not.toBe(
      'small-swivel',
    );
  });

  it('pulls the lead out where that can be done, and folds what is bonded', () => {
    const [best] = choose(end('lead core'), end('strong braid')).ranked;
    expect(best).toMatchObject({ kind: 'double-sliding-knot', ends: ['sheath', 'plain'] });
    expect(against(end('lead core, bonded'), end('strong braid'), 'double-sliding-knot')).toBe('end-sheath-bonded');
    expect(kinds(end('lead core, bonded'), end('strong braid'))[0]).toBe('wraps-over-fold');
    expect(against(end('lead core'), end('strong braid'), 'loop-to-loop')).toBe('lead-has-no-loop');
    // Nobody has said how it is made: taken to strip, and said so.
    const [unsaid] = choose(end('lead core', { construction: null }), end('nylon backing')).ranked;
    expect(unsaid?.reasons.map(({ reason }) => reason)).toContain('sheath-taken-loose');
  });

  it('pushes mono into a sheath only where it goes in', () => {
    expect(kinds(end('lead core'), end('nylon backing'))[0]).toBe('sheath-over-mono');
    expect(against(end('lead core'), end('heavy nylon'), 'sheath-over-mono')).toBe('mono-too-thick');
    expect(against(end('lead core'), end('thin braid'), 'sheath-over-mono')).toBe('sheath-takes-mono');
    expect(against(end('nylon backing'), end('nylon backing'), 'sheath-over-mono')).toBe('needs-sheath');
  });

  it('plaits braid on what is thicker, and two braids that match', () => {
    expect(kinds(end('thin braid'), end('heavy fluorocarbon'))[0]).toBe('plaited-braid-to-leader');
    expect(against(end('strong braid'), end('thin fluorocarbon'), 'plaited-braid-to-leader')).toBe('leader-too-thin');
    expect(kinds(end('strong braid'), end('strong braid'))).toContain('plaited-braid-to-leader');
    expect(against(end('thin braid'), end('hollow braid'), 'plaited-braid-to-leader')).toBe('braids-do-not-match');
    expect(against(end('nylon backing'), end('nylon backing'), 'plaited-braid-to-leader')).toBe('needs-braid');
    expect(against(end('strong braid'), end('fly line, looped'), 'plaited-braid-to-leader')).toBe('coat-strips-off');
  });

  it('joins backing and fly line by loops, or with a hollow end over the line', () => {
    expect(kinds(end('strong braid'), end('fly line, looped'))[0]).toBe('loop-to-loop');
    expect(['sleeve-splice', 'loop-to-loop']).toContain(kinds(end('hollow braid'), end('fly line, looped'))[0]);
    const bare = end('fly line, looped', { construction: 'bare ends' });
    expect(against(end('strong braid'), bare, 'loop-to-loop')).toBe('needs-two-loops');
    expect(kinds(end('hollow braid'), bare)[0]).toBe('sleeve-splice');
  });

  it('holds each structure against its own line, and the weakest speaks', () => {
    // Doubled, the thin line bears the knot with both strands: the twist itself is then the weakest.
    const [best] = choose(end('thin nylon'), end('heavy fluorocarbon')).ranked;
    expect(best).toMatchObject({ kind: 'double-sliding-knot', efficiency: 0.92 });
    expect(best?.parts).toEqual([
      { kind: 'long-loop-twist', of: 'inner' },
      { kind: 'double-sliding-knot', of: 'join' },
    ]);
    // A join that was pulled counts as it was pulled, its strands with it: it is not taken to hold more.
    const pulled = { 'double-sliding-knot': { value: 0.8, sd: 0.02, source: 'measured' as const } };
    const known = chooseJoin(end('thin nylon'), end('heavy fluorocarbon'), anywhere, { tested: pulled, tied: {} });
    expect(known.ranked.find(({ kind }) => kind === 'double-sliding-knot')?.efficiency).toBeCloseTo(0.8, 9);
    // A weak loop in a strong line is no weakness of the pair.
    const strong = end('hollow braid', { strengthN: { value: 5000, sd: 10, source: 'measured' } });
    const looped = choose(strong, end('ready leader, looped')).ranked.find(({ kind }) => kind === 'loop-to-loop');
    expect(looped?.efficiency).toBeCloseTo(0.88, 9);
  });

  it('believes pulls before defaults, and hands that know a knot a little', () => {
    const pair = [end('nylon backing'), end('nylon backing')] as const;
    const tested = { 'small-swivel': { value: 0.2, sd: 0.01, source: 'measured' as const } };
    const byPulls = chooseJoin(...pair, anywhere, {
      tested: { ...tested, 'double-sliding-knot': { value: 0.97, sd: 0.02, source: 'measured' } },
      tied: {},
    }).ranked[0];
    expect(byPulls).toMatchObject({ kind: 'double-sliding-knot', tested: true, efficiency: 0.97 });
    expect(byPulls?.plusMinus).toBeCloseTo(1.96 * 0.02, 3);
    expect(byPulls?.reasons[0]?.reason).toBe('keeps-tested');
    expect(choose(...pair).ranked.every(({ reasons }) => reasons[0]?.reason === 'keeps-default')).toBe(true);
    const scoreOf = (tied: number) =>
      chooseJoin(...pair, anywhere, { tested: {}, tied: { 'double-sliding-knot': tied } }).ranked.find(
        ({ kind }) => kind === 'double-sliding-knot',
      )?.score ?? NaN;
    expect(scoreOf(3)).toBeGreaterThan(scoreOf(0));
    expect(scoreOf(100)).toBe(scoreOf(10));
  });

  it('says when a loop is too small for what has to go through it, and marks a guess of the opening', () => {
    const looped = end('hollow braid, loop spliced', { loopM: 0.1 });
    const reelM = 0.11;
    const fly = end('fly line, looped', { end: 'line loop' });
    const loops = (loopM: number) =>
      choose({ ...looped, loopM }, fly, { passesM: reelM }).ranked.find(({ kind }) => kind === 'loop-to-loop');
    expect(loops(0.3)?.ends).toEqual(['spliced loop', 'line loop']);
    // Too small: it is cut off, and another one is made.
    expect(loops(0.1)?.ends[0]).not.toBe('spliced loop');
    expect(loops(0.1)?.reasons.map(({ reason }) => reason)).toContain('end-is-cut-off');
    expect(against(end('strong braid'), { ...fly, loopM: 0.05 }, 'loop-to-loop', { passesM: reelM })).toBe(
      'loop-too-small',
    );
    const reasons = (smallestOpeningM: number | null) =>
      choose(end('nylon backing'), end('nylon backing'), { smallestOpeningM }).ranked[0]?.reasons.map(
        (each) => each.reason,
      );
    expect(reasons(null)).toContain('join-slim');
    expect(reasons(0.004)).toContain('join-passes');
    expect(reasons(0.001)).toContain('join-does-not-pass');
  });

  it('leaves the arbor to its own knot, and the leader to what it is for', () => {
    expect(kinds(null, end('nylon backing'))).toEqual(['arbor-sliding-knot']);
    expect(against(end('nylon backing'), end('thin nylon'), 'arbor-sliding-knot')).toBe('only-at-the-arbor');
    expect(leaderAgainstPurpose(end('thin nylon'), 'unseen')?.reason).toBe('leader-is-seen');
    expect(leaderAgainstPurpose(end('thin nylon'), 'resists teeth')?.reason).toBe('leader-is-bitten');
    expect(leaderAgainstPurpose(end('stainless wire'), 'resists teeth')).toBeNull();
    expect(leaderAgainstPurpose(end('thin braid'), 'feels weed')).toBeNull();
    expect(leaderAgainstPurpose(end('thin fluorocarbon'), 'feels weed')?.reason).toBe('leader-stretches');
  });

  it('says what to put between two lines that nothing joins', () => {
    const bare = end('fly line, looped', { construction: 'bare ends' });
    expect(kinds(end('copper wire'), bare)).toEqual([]);
    expect(putBetween(end('copper wire'), bare, anywhere)).toEqual(['nylon', 'braid', 'hollow braid']);
    expect(putBetween(end('nylon backing'), end('nylon backing'), anywhere)).toEqual([]);
  });
});

describe('what an end can be made', () => {
  const made = (line: LineToJoin) => endsOf(line).map(({ kind }) => kind);

  it('follows from the line', () => {
    expect(made(end('nylon backing'))).toEqual(['plain', 'tied loop', 'doubled']);
    expect(made(end('hollow braid'))).toEqual(['plain', 'tied loop', 'spliced loop', 'doubled']);
    expect(made(end('lead core'))).toEqual(['plain', 'sheath']);
    expect(made(end('lead core, bonded'))).toEqual(['plain']);
    expect(made(end('copper wire'))).toEqual(['plain', 'wire loop']);
    expect(made(end('fly line, looped'))).toEqual(['plain', 'line loop']);
    expect(made(end('nylon backing', { end: 'swivel' }))).toContain('swivel');
  });

  it('needs nothing more where it is there already', () => {
    const part = (line: LineToJoin) => endsOf(line).find(({ kind }) => kind === 'spliced loop')?.part;
    expect(part(end('hollow braid'))).toBe('loop-splice');
    expect(part(end('hollow braid, loop spliced'))).toBeNull();
  });

  it('is refused with a reason', () => {
    expect(whyNoSuchEnd('sheath', end('nylon backing'))?.reason).toBe('end-needs-sheath');
    expect(whyNoSuchEnd('spliced loop', end('strong braid'))?.reason).toBe('end-needs-hollow');
    expect(whyNoSuchEnd('wire loop', end('strong braid'))?.reason).toBe('end-needs-wire');
    expect(whyNoSuchEnd('line loop', end('strong braid'))?.reason).toBe('end-needs-fly-line');
    expect(whyNoSuchEnd('doubled', end('copper wire'))?.reason).toBe('end-does-not-knot');
    expect(whyNoSuchEnd('line loop', end('fly line, looped', { construction: 'bare ends' }))?.reason).toBe(
      'end-fly-line-bare',
    );
  });
});
