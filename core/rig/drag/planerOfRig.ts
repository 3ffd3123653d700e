import {
  leverBracket,
  LEVER_PRIOR,
  planerBracket,
  type LeverBracket,
  type PlanerBracket,
  type Range90,
} from '../../drag/planer/planerBracket';
import { leverAdvice, type LeverMark, type PresetVerdict } from '../../drag/planer/planerAdvice';
import { waterOf, type CreepObservation, type HandLook, type LeverLook } from '../../drag/planer/planerLooks';
import { unheardAbove, type StrikeLook } from '../../drag/planer/strikesHeard';
import type { PlanerLookRecord, RigRecord } from '../../record/record';
import { presetOf } from './leverOfRig';

/** What was seen with one planer at one preset. */
interface SeenAtPreset {
  readonly looks: readonly (LeverLook & { readonly id: string; readonly sea: Sea })[];
  readonly hands: readonly HandLook[];
}

/** Seas of their own: what a following sea adds says little of a head current. */
export const SEAS = ['ordinary', 'following sea', 'current against you', 'both'] as const;
export type Sea = (typeof SEAS)[number];

/** What is asked about a planer, as plain values: it is worked out beside the page. */
export interface PlanerQuestion {
  readonly planer: string;
  readonly now: SeenAtPreset;
  /** The presets and planers before, oldest first: each begins with what the one before it left, widened. */
  readonly earlier: readonly SeenAtPreset[];
  readonly strikes: readonly StrikeLook[];
  /** Looks with newtons, by the scale or the lever's curve. */
  readonly newtons: readonly (CreepObservation & { readonly id: string })[];
  readonly speedMS: number;
}

/** A lever mark for one of the seas. */
export interface SeaMark extends LeverMark {
  readonly sea: Sea;
}

/** What looks say of a planer. */
export interface PlanerFound {
  readonly stops: Range90;
  readonly marks: readonly SeaMark[];
  readonly preset: PresetVerdict;
  /** Looks and hand pulls at this preset that counted, and at others before. */
  readonly counted: number;
  readonly carriedFrom: number;
  readonly unheard: Range90 | null;
  readonly newtons: PlanerBracket | null;
  /** Looks that do not fit the others, the worst first, by their ids. */
  readonly misfits: readonly string[];
}

/** More presets and planers before than this tell nothing more. */
const MOST_EARLIER = 3;

/** What a rig's record has of a planer, with the preset as it stands. */
export function planerQuestion(
  record: Pick<RigRecord, 'planerLooks' | 'presetActs' | 'reel'>,
  planer: string,
  speedMS: number,
): PlanerQuestion {
  const turns = presetOf(record.presetActs).turns;
  const groups = new Map<string, { planer: string; turns: number | null; looks: PlanerLookRecord[] }>();
  for (const look of record.planerLooks) {
    const key = `${look.planer} ${look.presetTurns ?? ''}`;
    const group = groups.get(key) ?? { planer: look.planer, turns: look.presetTurns, looks: [] };
    group.looks.push(look);
    groups.set(key, group);
  }
  // A look that nobody told the preset of was made with it as it stands.
  const isNow = (group: { planer: string; turns: number | null }): boolean =>
    group.planer === planer && (group.turns === null || Math.abs(group.turns - turns) < 1e-9);
  const all = [...groups.values()];
  const ofPlaner = record.planerLooks.filter((look) => look.planer === planer);
  return {
    planer,
    now: seen(all.filter(isNow).flatMap((group) => group.looks)),
    earlier: all
      .filter((group) => !isNow(group))
      .map((group) => seen(group.looks))
      .filter(({ looks, hands }) => looks.length + hands.length > 0)
      .slice(-MOST_EARLIER),
    strikes: ofPlaner.flatMap(({ strike, leverPosition }) =>
      strike && leverPosition ? [{ position: leverPosition, isHeard: strike === 'heard' }] : [],
    ),
    newtons: ofPlaner.flatMap((look) =>
      look.holdsN !== null && look.creep ? [{ ...lookOf(look), holdsN: look.holdsN, creep: look.creep }] : [],
    ),
    speedMS,
  };
}

/** What looks come to: the place of the lever that stops the creep in each sea, with what was known before, and newtons where there are any. */
export function planerFound({ now, earlier, strikes, newtons, speedMS }: PlanerQuestion): PlanerFound {
  const prior = earlier.reduce((before, { looks, hands }) => leverBracket(looks, hands, before).carried, LEVER_PRIOR);
  const without = (sea: Sea): LeverBracket =>
    leverBracket(
      now.looks.filter((look) => look.sea !== sea),
      now.hands,
      prior,
    );
  const has = (sea: Sea): boolean => now.looks.some((look) => look.sea === sea);
  const bracket = leverBracket(now.looks, now.hands, prior);
  const { marks, preset } = leverAdvice(bracket, speedMS);
  const hardFor = (other: Sea): LeverMark | undefined =>
    (has(other) ? leverAdvice(without(other), speedMS).marks : marks).find((mark) => mark.water === 'hard');
  const pull = planerBracket(newtons);
  const ordinary = marks.find((mark) => mark.water === 'ordinary');
  return {
    stops: bracket.stops,
    marks: [
      { sea: 'ordinary' as const, mark: ordinary },
      { sea: 'following sea' as const, mark: hardFor('current against you') },
      { sea: 'current against you' as const, mark: hardFor('following sea') },
    ].flatMap(({ sea, mark }) => (mark ? [{ ...mark, sea }] : [])),
    preset,
    counted: bracket.counted,
    carriedFrom: earlier.reduce((sum, { looks, hands }) => sum + looks.length + hands.length, 0),
    unheard: unheardAbove(strikes),
    newtons: pull.ok ? pull.value : null,
    misfits: [
      ...bracket.conflicts.map(({ look }) => now.looks[look]?.id ?? ''),
      ...(pull.ok ? pull.value.conflicts.map(({ look }) => newtons[look]?.id ?? '') : []),
    ].filter((id, index, ids) => ids.indexOf(id) === index),
  };
}

function seen(looks: readonly PlanerLookRecord[]): SeenAtPreset {
  return {
    looks: looks.flatMap((look) =>
      look.leverPosition && look.creep
        ? [{ ...lookOf(look), position: look.leverPosition, creep: look.creep, sea: seaOf(look) }]
        : [],
    ),
    hands: looks.flatMap(({ handPull, leverPosition }) =>
      handPull && leverPosition ? [{ position: leverPosition, pull: handPull }] : [],
    ),
  };
}

/** Looks of one day are one outing. */
const lookOf = ({ id, speedMS, heading, current, isSet, at }: PlanerLookRecord) => ({
  ...{ id, speedMS, isSet, water: waterOf(heading, current) },
  outing: at.slice(0, 10),
});

export function seaOf({ heading, current }: Pick<PlanerLookRecord, 'heading' | 'current'>): Sea {
  const [follows, against] = [heading === 'following sea', current === 'against you'];
  return follows && against ? 'both' : follows ? 'following sea' : against ? 'current against you' : 'ordinary';
}
