import { PLUS_MINUS_SDS } from '../numerics/propagate';
import type { Known } from '../provenance/source';
import { because, type Reason } from '../reasons';
import type { JoinPlacePart } from './placeParts';
import { endsOf, type LineToJoin, type MadeEnd } from './ends';
import { DEFAULT_EFFICIENCY_SD, END_MAKERS, JOIN_KINDS, MEETING_KINDS, type JoinKind } from './joinKinds';
import { purposeOf, type LeaderPurpose } from './leaderPurpose';
import { JOIN_WORK, joinBulkM } from './joinWork';
import { TWO_STRANDS, USUAL_OPENING_M } from './usual';
import { drawsUnevenly, endThicknessM, isTooAlikeToFold, whyNoMeeting, type EndToJoin } from './meetings';

/** Where the join is to be, and what is known of it and of who ties it. */
export interface JoinPlaceKnown {
  /** Smallest opening that it has to pass (m), ring or level wind; null: nobody has measured it. */
  readonly smallestOpeningM: number | null;
  /** True where line is wound over it; false where it stays outside of what is wound (a leader); null: not known. */
  readonly isOnSpool: boolean | null;
  /** True where it never goes through a ring at all. */
  readonly isOutside: boolean;
  readonly purpose: LeaderPurpose | null;
  /** What has to go through a loop (m, largest across); null: nothing. */
  readonly passesM: number | null;
}

/** What this boat knows by its own pulls and ties. */
export interface CrewKnows {
  /** Share that joins of a kind kept when they were pulled. */
  readonly tested: Readonly<Partial<Record<JoinKind, Known>>>;
  /** How often one of the crew has tied a kind. */
  readonly tied: Readonly<Partial<Record<JoinKind, number>>>;
}

/** A structure at one place: what meets the two lines, or what is made of the end of one of them before. */
export interface JoinPart {
  readonly kind: JoinKind;
  readonly of: JoinPlacePart;
}

/** A join ranked for two lines that meet. */
export interface RankedJoin {
  readonly kind: JoinKind;
  /** Everything that is tied there, in the order of tying; the join itself is the last. */
  readonly parts: readonly JoinPart[];
  /** What the inner and the outer end are made. */
  readonly ends: readonly [inner: MadeEnd['kind'] | null, outer: MadeEnd['kind']];
  /** Share of the weaker line that the weakest of its parts keeps, its ± (95 %), and whether that part was tested on this boat. */
  readonly efficiency: number;
  readonly plusMinus: number;
  readonly tested: boolean;
  readonly bulkM: number;
  /** Passes what it has to pass, as far as a guess from its lines can tell. */
  readonly fits: boolean;
  readonly minutes: number;
  readonly score: number;
  /** What speaks for it and against it. */
  readonly reasons: readonly Reason[];
}

export interface ImpossibleJoin {
  readonly kind: JoinKind;
  readonly why: Reason;
}

export interface JoinChoice {
  readonly ranked: readonly RankedJoin[];
  readonly impossible: readonly ImpossibleJoin[];
}

/** Over so much, a join under line makes a lump that the line over it saws on (m, a guess). */
const LUMP_M = 0.002;

/** How hard each is with wet, cold hands: 0 easy, 1 not to be tried afloat (from memory). */
const COLD_HANDS: Readonly<Record<JoinKind, number>> = {
  'arbor-sliding-knot': 0.1,
  'double-sliding-knot': 0.3,
  'sheath-over-mono': 0.5,
  'plaited-braid-to-leader': 0.8,
  'wraps-over-fold': 0.3,
  'sleeve-splice': 1,
  'loop-splice': 1,
  'loop-to-loop': 0.1,
  'long-loop-twist': 0.5,
  'small-swivel': 0.2,
  'tied-loop': 0.1,
  'wire-loop': 0.4,
};

/** What each thing counts against a share of strength: strength comes first. */
const WEIGH = {
  coldHands: 0.03,
  minute: 0.002,
  part: 0.06,
  knotted: 0.12,
  tiedInHollow: 0.06,
  alike: 0.08,
  uneven: 0.03,
  misfit: 0.25,
  deeper: 0.5,
  cutOff: 0.06,
  bulk: 40,
  lump: 20,
  tied: 0.02,
  purpose: 0.05,
} as const;
/** So many ties of one kind, and hands know it. */
const KNOWN_BY_HEART = 10;

/**
 * Ranks the joins that can join two lines, best first, with what has to be made of their ends before, and with reasons; and says why
 * the others cannot.
 *
 * @param inner the line below, or null for the arbor
 * @param outer the line above
 */
export function chooseJoin(
  inner: LineToJoin | null,
  outer: LineToJoin,
  place: JoinPlaceKnown,
  crew: CrewKnows,
): JoinChoice {
  const ranked: RankedJoin[] = [];
  const impossible: ImpossibleJoin[] = END_MAKERS.map((kind) => ({ kind, why: because('makes-an-end') }));
  for (const kind of MEETING_KINDS) {
    const found = inner === null ? atArbor(kind, outer, crew) : between(kind, inner, outer, place, crew);
    if ('why' in found) impossible.push({ kind, why: found.why });
    else ranked.push(found);
  }
  return { ranked: ranked.toSorted((a, b) => b.score - a.score), impossible };
}

type Found = RankedJoin | { readonly why: Reason };

function atArbor(kind: JoinKind, outer: LineToJoin, crew: CrewKnows): Found {
  if (kind !== 'arbor-sliding-knot') return { why: because('not-at-the-arbor') };
  if (outer.material === 'fly line') return { why: because('coat-strips-off') };
  if (outer.material.endsWith('wire')) return { why: because('wire-on-arbor') };
  const isLead = outer.material === 'lead core';
  if (isLead && outer.construction === 'bonded sheath') return { why: because('end-sheath-bonded') };
  const end: MadeEnd = { kind: isLead ? 'sheath' : 'plain', part: null, isLoop: false };
  const keeps = keepsOf(kind, crew);
  const bulkM = joinBulkM(kind, outer.diameterM, outer.diameterM);
  const found = { kind, parts: [{ kind, of: 'join' as const }], ends: [null, end.kind] as const, bulkM, fits: true };
  return scored(found, { share: keeps.value, sd: keeps.sd, tested: keeps.source === 'measured' }, [], null, crew);
}

const keepsOf = (kind: JoinKind, crew: CrewKnows): Known =>
  crew.tested[kind] ?? { value: JOIN_KINDS[kind].efficiency, sd: DEFAULT_EFFICIENCY_SD, source: 'default' };

/** The best way to make the ends for a kind of meeting, or why there is none: the reason of the way that comes nearest. */
function between(kind: JoinKind, inner: LineToJoin, outer: LineToJoin, place: JoinPlaceKnown, crew: CrewKnows): Found {
  let best: RankedJoin | null = null;
  let why: Reason | null = null;
  for (const innerEnd of endsOf(inner)) {
    for (const outerEnd of endsOf(outer)) {
      const ends = [
        { line: inner, end: innerEnd },
        { line: outer, end: outerEnd },
      ] as const;
      const against = whyNoMeeting(kind, ...ends) ?? whyNotThere(kind, ends, place);
      if (against !== null) {
        // An end that does not belong to this join says less than what is against the join itself.
        if (why === null || NOT_THIS_END.has(why.reason)) why = against;
        continue;
      }
      const each = weigh(kind, ends, place, crew);
      if (best === null || each.score > best.score) best = each;
    }
  }
  return best ?? { why: why ?? because('makes-an-end') };
}

const NOT_THIS_END: ReadonlySet<string> = new Set([
  'wants-plain-ends',
  'needs-two-loops',
  'lead-inside-knot',
  'wire-wants-its-loop',
]);

function whyNotThere(kind: JoinKind, ends: readonly [EndToJoin, EndToJoin], place: JoinPlaceKnown): Reason | null {
  const bulkM = bulkOf(kind, ends);
  if (kind === 'small-swivel' && !place.isOutside) {
    if (place.isOnSpool === true) return because('swivel-under-line');
    if (place.smallestOpeningM !== null && bulkM > place.smallestOpeningM)
      return because('swivel-too-big', { bulkM, openingM: place.smallestOpeningM });
  }
  if (place.passesM !== null && kind === 'loop-to-loop') {
    const short = ends.find(
      ({ line, end }) => end.kind === line.end && line.loopM !== null && line.loopM < LOOP_ROUND * (place.passesM ?? 0),
    );
    if (short) return because('loop-too-small', { line: short.line.name, leastM: LOOP_ROUND * place.passesM });
  }
  return null;
}

/** A loop laid flat passes what is so much less across: it goes round both sides of it, and some. */
const LOOP_ROUND = 1.6;

function bulkOf(kind: JoinKind, ends: readonly [EndToJoin, EndToJoin]): number {
  const made = ends.flatMap(({ line, end }) => (end.part ? [joinBulkM(end.part, line.diameterM, line.diameterM)] : []));
  const holds = ends.flatMap(({ line }) => line.strengthN?.value ?? []);
  const weakerN = holds.length === 2 ? Math.min(...holds) : null;
  return Math.max(joinBulkM(kind, endThicknessM(ends[0]), endThicknessM(ends[1]), weakerN), ...made);
}

interface Keeps {
  readonly share: number;
  readonly sd: number;
  readonly tested: boolean;
}

/** What the weakest of the structures keeps of the weaker line. */
function weakestPart(kind: JoinKind, ends: readonly [EndToJoin, EndToJoin], crew: CrewKnows): Keeps {
  const holds = ends.map(({ line }) => line.strengthN?.value ?? null);
  const [a, b] = holds;
  const known = a != null && b != null;
  const [innerN, outerN] = known ? [a, b] : [1, 1];
  const weakerN = Math.min(innerN, outerN);
  // What was pulled counts as it was pulled: its strands are in it.
  const strands = keepsOf(kind, crew).source === 'measured' ? 1 : TWO_STRANDS;
  const asTied = ends.map(({ end }, index) => (end.kind === 'doubled' ? strands : 1) * (index === 0 ? innerN : outerN));
  const parts = [
    ...ends.flatMap(({ end }, index) => (end.part ? [{ kind: end.part, ofN: index === 0 ? innerN : outerN }] : [])),
    { kind, ofN: Math.min(...asTied) },
  ];
  const kept = parts.map((part): Keeps => {
    const keeps = keepsOf(part.kind, crew);
    const scale = part.ofN / weakerN;
    return { share: keeps.value * scale, sd: keeps.sd * scale, tested: keeps.source === 'measured' };
  });
  return kept.reduce((worst, each) => (each.share < worst.share ? each : worst));
}

function weigh(
  kind: JoinKind,
  ends: readonly [EndToJoin, EndToJoin],
  place: JoinPlaceKnown,
  crew: CrewKnows,
): RankedJoin {
  const keeps = weakestPart(kind, ends, crew);
  const bulkM = bulkOf(kind, ends);
  const openingM = place.smallestOpeningM ?? USUAL_OPENING_M;
  const fits = place.isOutside || bulkM <= openingM;
  const made = ends.flatMap(({ end }, index): JoinPart[] =>
    end.part ? [{ kind: end.part, of: index === 0 ? 'inner' : 'outer' }] : [],
  );
  const isLump = place.isOnSpool !== false && !place.isOutside && bulkM > LUMP_M;
  const reasons: readonly Reason[] = [
    ...fitReasons(place, fits, bulkM),
    ...(isLump ? [because('lump-under-line')] : []),
    ...(drawsUnevenly(...ends) && kind === 'double-sliding-knot' ? [because('draws-unevenly')] : []),
    ...ends.filter(isCutOff).map(({ line }) => because('end-is-cut-off', { line: line.name })),
    ...(kind === 'small-swivel' && place.isOnSpool === null && !place.isOutside
      ? [because('swivel-only-outermost')]
      : []),
    ...(isKnotted(kind, ends) ? [because('needs-knotted-loops')] : []),
    ...(kind === 'wraps-over-fold' && isTooAlikeToFold(...ends) ? [because('too-alike-to-fold')] : []),
    ...ends.flatMap(({ line, end }) => endReasons(line, end)),
  ];
  const against =
    (fits ? 0 : WEIGH.misfit + WEIGH.bulk * (bulkM - openingM)) +
    (isLump ? WEIGH.lump * (bulkM - LUMP_M) : 0) +
    (kind === 'small-swivel' && place.isOnSpool === null && !place.isOutside ? WEIGH.deeper : 0) +
    (drawsUnevenly(...ends) && kind === 'double-sliding-knot' ? WEIGH.uneven : 0) +
    WEIGH.cutOff * ends.filter(isCutOff).length +
    (isKnotted(kind, ends) ? WEIGH.knotted : 0) +
    WEIGH.tiedInHollow * ends.filter(isTiedInHollow).length +
    (kind === 'wraps-over-fold' && isTooAlikeToFold(...ends) ? WEIGH.alike : 0);
  const found = {
    kind,
    parts: [...made, { kind, of: 'join' as const }],
    bulkM,
    fits,
    ends: [ends[0].end.kind, ends[1].end.kind] as const,
  };
  return scored(found, keeps, reasons, { against, purpose: place.purpose }, crew);
}

/** An end that is there is not used. */
const isCutOff = ({ line, end }: EndToJoin): boolean =>
  line.end !== null && line.end !== 'plain' && end.kind !== line.end;

/** Where a loop can be spliced, a knot is the lesser one. */
const isTiedInHollow = ({ line, end }: EndToJoin): boolean =>
  line.material === 'hollow braid' && end.part === 'tied-loop';

/** Loops that are both knotted for the purpose: two knots more where one would do. */
const isKnotted = (kind: JoinKind, ends: readonly [EndToJoin, EndToJoin]): boolean =>
  kind === 'loop-to-loop' && ends.every(({ end }) => end.part !== null && end.part !== 'loop-splice');

function fitReasons(place: JoinPlaceKnown, fits: boolean, bulkM: number): readonly Reason[] {
  if (place.isOutside) return [];
  if (place.smallestOpeningM === null) return [because(fits ? 'join-slim' : 'join-thick')];
  return [because(fits ? 'join-passes' : 'join-does-not-pass', { bulkM, openingM: place.smallestOpeningM })];
}

/** What has to be known of an end as it is made. */
function endReasons(line: LineToJoin, end: MadeEnd): readonly Reason[] {
  if (end.kind === 'sheath' && line.construction === null) return [because('sheath-taken-loose', { line: line.name })];
  if (end.kind === 'line loop' && line.construction === null && line.end === null)
    return [because('fly-line-taken-looped', { line: line.name })];
  if (line.construction === 'bonded sheath') return [because('lead-stays-in')];
  return [];
}

type Placed = Pick<RankedJoin, 'kind' | 'parts' | 'ends' | 'bulkM' | 'fits'>;

function scored(
  placed: Placed,
  keeps: Keeps,
  reasons: readonly Reason[],
  weighed: { readonly against: number; readonly purpose: LeaderPurpose | null } | null,
  crew: CrewKnows,
): RankedJoin {
  const { kind, parts } = placed;
  const hardest = Math.max(...parts.map((part) => COLD_HANDS[part.kind]));
  const works = parts.map((part) => JOIN_WORK[part.kind]);
  const minutes = works.reduce((sum, work) => sum + work.minutes + work.dryMinutes, 0);
  const needs = [...new Set(works.flatMap((work) => work.needs))];
  const efficiency = Math.min(keeps.share, 1);
  const tiedTimes = Math.min(...parts.map((part) => crew.tied[part.kind] ?? 0));
  const purpose = purposeOf(kind, weighed?.purpose ?? null);
  const score =
    efficiency -
    (weighed?.against ?? 0) -
    WEIGH.coldHands * hardest -
    WEIGH.minute * minutes -
    WEIGH.part * (parts.length - 1) +
    WEIGH.tied * Math.min(tiedTimes / KNOWN_BY_HEART, 1) +
    WEIGH.purpose * purpose.weight;
  return {
    ...placed,
    ...{ efficiency, plusMinus: PLUS_MINUS_SDS * keeps.sd, tested: keeps.tested, minutes, score },
    reasons: [
      because(keeps.tested ? 'keeps-tested' : 'keeps-default', { efficiency, plusMinus: PLUS_MINUS_SDS * keeps.sd }),
      ...reasons,
      ...purpose.reasons,
      because(works.some((work) => work.dryMinutes > 0) ? 'join-minutes-glue' : 'join-minutes', { minutes }),
      because(hardest > 0.7 ? 'cold-hands-hardly' : hardest > 0.4 ? 'cold-hands-slow' : 'cold-hands-easy'),
      ...(tiedTimes > 0 ? [because('crew-has-tied', { times: tiedTimes })] : []),
      ...(needs.length > 0 ? [because('needs-things', { things: needs })] : []),
    ],
  };
}
