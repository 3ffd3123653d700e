import type { JoinKind } from '../joins/joinKinds';
import { JOIN_WORK, type KitThing } from '../joins/joinWork';
import { because, type Reason } from '../reasons';
import type { Material } from '../materials/materials';

/** What a kit list is made from: the planned segments in order from the arbor, each with the join at its inner end. */
export interface KitSegment {
  readonly id: string;
  readonly name: string;
  readonly productId: string;
  readonly material: Material;
  readonly lengthM: number;
  readonly turns: number;
  readonly wound: boolean;
  readonly joinKind: JoinKind | null;
  /** What the two ends that meet there are made before; left out: plain. */
  readonly ends?: { readonly inner: JoinKind | null; readonly outer: JoinKind | null };
}

export interface KitLine {
  readonly segmentId: string;
  readonly name: string;
  readonly productId: string;
  /** Length on the spool, and what has to be cut or taken for it with tags and overlaps (m). */
  readonly lengthM: number;
  readonly takeM: number;
}

export interface KitList {
  readonly lines: readonly KitLine[];
  readonly things: readonly { readonly thing: KitThing; readonly whys: readonly Reason[] }[];
  readonly helper: Reason | null;
  readonly dryMinutes: number;
  /** Total time (min) by hand and on a winding machine. */
  readonly byHandMinutes: number;
  readonly byMachineMinutes: number;
}

/** Spool turns a minute under winding tension, from memory: a hand on the handle, and a machine with a careful guide. */
export const HAND_TURNS_PER_MINUTE = 110;
export const MACHINE_TURNS_PER_MINUTE = 300;
/** Setting up, threading and measuring, whatever is wound (min). */
const SETTING_UP_MINUTES = 6;

const BRAIDS: readonly Material[] = ['braid', 'hollow braid'];

/**
 * Everything that a load asks for at the bench.
 *
 * @param segments the plan, from the arbor
 * @param hasCounter true when the reel has a counter to be tested afterwards
 */
export function kitList(segments: readonly KitSegment[], hasCounter: boolean): KitList {
  const lines = segments.map((segment, index): KitLine => {
    const inner = segment.joinKind ? JOIN_WORK[segment.joinKind].outerLossM : 0;
    const next = segments[index + 1];
    const outer = next?.joinKind ? JOIN_WORK[next.joinKind].innerLossM : 0;
    const ends = endLossM(segment.ends?.outer) + endLossM(next?.ends?.inner);
    const takeM = segment.lengthM + inner + outer + ends;
    return { segmentId: segment.id, name: segment.name, productId: segment.productId, lengthM: segment.lengthM, takeM };
  });
  const joins = segments.flatMap((segment) =>
    [segment.ends?.inner, segment.ends?.outer, segment.joinKind].flatMap((kind) =>
      kind ? [{ segment, work: JOIN_WORK[kind] }] : [],
    ),
  );
  const turns = segments.reduce((sum, segment) => sum + (segment.wound ? segment.turns : 0), 0);
  const tying = joins.reduce((sum, { work }) => sum + work.minutes, 0);
  const dryMinutes = joins.reduce((sum, { work }) => sum + work.dryMinutes, 0);
  const total = (turnsPerMinute: number): number => SETTING_UP_MINUTES + tying + dryMinutes + turns / turnsPerMinute;
  const braid = segments.some((segment) => segment.wound && BRAIDS.includes(segment.material));
  return {
    lines,
    things: things(segments, joins, braid, hasCounter),
    helper: braid ? because('kit-helper') : null,
    dryMinutes,
    byHandMinutes: total(HAND_TURNS_PER_MINUTE),
    byMachineMinutes: total(MACHINE_TURNS_PER_MINUTE),
  };
}

/** Line that a loop or a doubled end takes (m). */
const endLossM = (kind: JoinKind | null | undefined): number =>
  kind ? Math.max(JOIN_WORK[kind].innerLossM, JOIN_WORK[kind].outerLossM) : 0;

function things(
  segments: readonly KitSegment[],
  joins: readonly { readonly segment: KitSegment; readonly work: { readonly needs: readonly KitThing[] } }[],
  braid: boolean,
  hasCounter: boolean,
): KitList['things'] {
  const needed = new Map<KitThing, Reason[]>();
  const need = (thing: KitThing, why: Reason): void => void needed.set(thing, [...(needed.get(thing) ?? []), why]);
  for (const { segment, work } of joins)
    for (const thing of work.needs) need(thing, because('kit-join', { segment: segment.name }));
  const [first] = segments;
  if (first && BRAIDS.includes(first.material)) need('arbor tape', because('kit-arbor', { segment: first.name }));
  if (braid) need('gloves or a folded cloth', because('kit-tension'));
  if (segments.some((segment) => segment.material === 'lead core')) need('water and soap', because('kit-lead'));
  if (hasCounter) need('tape measure, stake and clip', because('kit-walk'));
  need('caliper or depth rod', because('kit-level'));
  return [...needed].map(([thing, whys]) => ({ thing, whys }));
}
