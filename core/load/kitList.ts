import type { JoinKind } from '../joins/joinKinds';
import { JOIN_WORK } from '../joins/joinWork';
import type { Material } from './defaults';

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
  readonly things: readonly { readonly name: string; readonly why: string }[];
  readonly helper: string | null;
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
    const next = segments[index + 1]?.joinKind;
    const takeM = segment.lengthM + inner + (next ? JOIN_WORK[next].innerLossM : 0);
    return { segmentId: segment.id, name: segment.name, productId: segment.productId, lengthM: segment.lengthM, takeM };
  });
  const joins = segments.flatMap((segment) =>
    segment.joinKind ? [{ segment, work: JOIN_WORK[segment.joinKind] }] : [],
  );
  const turns = segments.reduce((sum, segment) => sum + (segment.wound ? segment.turns : 0), 0);
  const tying = joins.reduce((sum, { work }) => sum + work.minutes, 0);
  const dryMinutes = joins.reduce((sum, { work }) => sum + work.dryMinutes, 0);
  const total = (turnsPerMinute: number): number => SETTING_UP_MINUTES + tying + dryMinutes + turns / turnsPerMinute;
  const braid = segments.some((segment) => segment.wound && BRAIDS.includes(segment.material));
  return {
    lines,
    things: things(segments, joins, braid, hasCounter),
    helper: braid
      ? 'A helper, or a brake on the supply spool: braid has to go on so hard that a fingernail leaves no mark.'
      : null,
    dryMinutes,
    byHandMinutes: total(HAND_TURNS_PER_MINUTE),
    byMachineMinutes: total(MACHINE_TURNS_PER_MINUTE),
  };
}

function things(
  segments: readonly KitSegment[],
  joins: readonly { readonly segment: KitSegment; readonly work: { readonly needs: readonly string[] } }[],
  braid: boolean,
  hasCounter: boolean,
): KitList['things'] {
  const needed = new Map<string, string[]>();
  const need = (name: string, why: string): void => void needed.set(name, [...(needed.get(name) ?? []), why]);
  for (const { segment, work } of joins) for (const name of work.needs) need(name, `the join to ${segment.name}`);
  const [first] = segments;
  if (first && BRAIDS.includes(first.material)) need('arbor tape', `${first.name} on a bare arbor slips`);
  if (braid) need('gloves or a folded cloth', 'tension on braid while it is wound');
  if (segments.some((segment) => segment.material === 'lead core'))
    need('water and soap', 'wash hands after handling lead');
  if (hasCounter) need('tape measure, stake and clip', 'the walk that tests the counter before the end is cut');
  need('caliper or depth rod', 'the level under the rim, at three points');
  return [...needed].map(([name, whys]) => ({ name, why: whys.join(', ') }));
}
