import { kind, value } from '../../tests/runKind';

const LEAD = { material: 'lead core', diameterM: 0.0008, strengthN: 120 };
const LEADER = { material: 'fluorocarbon', diameterM: 0.0004, strengthN: 90 };
const refusal = (request: unknown): string => {
  const result = kind('choose-join').run(request);
  return result.ok ? '' : result.fields.map(({ path, message }) => `${path}: ${message}`).join('; ');
};

interface Ranked {
  readonly kind: string;
  readonly parts: readonly { readonly kind: string; readonly of: string }[];
  readonly efficiency: number;
  readonly plusMinus: number;
  readonly fits: boolean;
  readonly reasons: readonly string[];
}
const choice = (request: unknown) =>
  value('choose-join', request) as unknown as {
    ranked: readonly Ranked[];
    impossible: readonly { kind: string; reason: string }[];
  };

describe('choose-join', () => {
  it('ranks joins with their parts, what they keep ± and reasons, and says why not the others', () => {
    const { ranked, impossible } = choice({ inner: LEAD, outer: LEADER, smallestOpeningM: 0.004, onSpool: true });
    expect(ranked[0]).toMatchObject({ kind: 'sheath-over-mono', fits: true, efficiency: 0.75 });
    expect(ranked[0]?.plusMinus).toBeCloseTo(1.96 * 0.08, 3);
    expect(ranked[0]?.reasons.join('; ')).toMatch(
      /a default until pulls say otherwise.*passes the smallest opening of 4\.0 mm/,
    );
    expect(impossible.find((each) => each.kind === 'small-swivel')?.reason).toMatch(/^swivel-under-line: /);
    expect(impossible.find((each) => each.kind === 'loop-to-loop')?.reason).toMatch(/^lead-has-no-loop: /);
    // Outside of what is wound the swivel stays a full school.
    expect(
      choice({ inner: LEAD, outer: LEADER, smallestOpeningM: 0.004, onSpool: false }).ranked.map((each) => each.kind),
    ).toContain('small-swivel');
  });

  it('takes how a line is made: bonded, hollow, looped, and what its end is already', () => {
    const bonded = choice({ inner: { ...LEAD, construction: 'bonded' }, outer: LEADER });
    expect(bonded.ranked[0]?.kind).toBe('wraps-over-fold');
    const hollow = { material: 'braid', construction: 'hollow', diameterM: 0.0008, strengthN: 600 };
    const nylon = { material: 'nylon', diameterM: 0.0009, strengthN: 400 };
    expect(choice({ inner: hollow, outer: nylon }).ranked[0]?.kind).toBe('sleeve-splice');
    const looped = choice({ inner: { ...hollow, end: 'spliced loop' }, outer: { ...nylon, end: 'tied loop' } });
    expect(looped.ranked[0]).toMatchObject({ kind: 'loop-to-loop', parts: [{ kind: 'loop-to-loop', of: 'join' }] });
  });

  it('refuses an end or a make that a line cannot have, a loop too small, and says what to put between', () => {
    expect(refusal({ inner: LEAD, outer: { ...LEADER, end: 'sheath' } })).toMatch(/outer\.end: end-needs-sheath/);
    expect(refusal({ inner: { ...LEAD, construction: 'looped ends' }, outer: LEADER })).toMatch(/inner\.construction/);
    expect(refusal({ inner: { ...LEAD, construction: 'hollow' }, outer: LEADER })).toMatch(/inner\.construction/);
    const bare = { material: 'fly line', construction: 'bare ends', diameterM: 0.001 };
    expect(refusal({ inner: { material: 'copper wire', diameterM: 0.0007 }, outer: bare })).toMatch(
      /put a length of nylon/,
    );
    expect(refusal({ inner: null, outer: { material: 'copper wire', diameterM: 0.0007 } })).toMatch(
      /put a length of nylon/,
    );
    expect(refusal({ inner: LEAD, outer: { ...LEADER, diameterM: -1 } })).toMatch(/outer\.diameterM/);
    const fly = { material: 'fly line', diameterM: 0.001, end: 'line loop', loopM: 0.03 };
    const { impossible } = choice({ inner: { material: 'braid', diameterM: 0.0004 }, outer: fly, passesM: 0.1 });
    expect(impossible.find((each) => each.kind === 'loop-to-loop')?.reason).toMatch(/^loop-too-small: .*160 mm/);
  });
});
