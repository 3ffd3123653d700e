import { spoolStateAt, type LoadedLine } from '../spool/loadedLine';
import type { RigStrength, StrengthPlace } from '../strength/rigStrength';
import { complianceMPerN, piecesOut, type ElasticPiece } from './surge';
import { waterAlong, type RunThroughWater } from './waterPull';

/** What fights whom. */
export interface FightSetup {
  readonly line: LoadedLine;
  readonly strength: RigStrength;
  /** In order from the arbor, as the line's segments. */
  readonly pieces: readonly ElasticPiece[];
  /** Pull at the tip as it was set, with nothing out (N). */
  readonly setForceN: number;
  /** Breakaway ÷ moving pull of this drag. */
  readonly breakawayRatio: number;
  readonly rodStiffnessNPerM: number;
  readonly water: Omit<RunThroughWater, 'speedMS'>;
  readonly fish: FishSetup;
}

/** A fish to rehearse with. */
export interface FishSetup {
  /** Thrust at rest while it runs (N), and the speed that it reaches unhindered (m/s). */
  readonly pullN: number;
  readonly speedMS: number;
  readonly massKg: number;
}

/** What the hands do now. */
export interface Hands {
  /** Share of the drag as it was set: 1 as set, 0 free. */
  readonly drag: number;
  readonly winding: boolean;
}

export interface FightState {
  readonly timeS: number;
  /** Line off the tip, unstretched (m). */
  readonly lineOutM: number;
  /** Distance of the fish from the tip (m), and its speed away (m/s). */
  readonly distanceM: number;
  readonly speedMS: number;
  readonly mood: 'run' | 'rest' | 'surge';
  readonly moodEndsS: number;
  /** How much of its strength the fish still has, 1 to 0. */
  readonly stamina: number;
  readonly slipping: boolean;
  readonly tipForceN: number;
  readonly fishForceN: number;
  /** The place that is out and nearest to breaking, the tension there, and how many times it could be had (≥ 1). */
  readonly nearest: StrengthPlace;
  readonly headroom: number;
  /** Tension at each join that is out (N), by its id. */
  readonly joins: readonly { readonly id: string; readonly tensionN: number }[];
  /** The moment so far in which tightening would most surely have broken it; null while the fish could not have. */
  readonly closest: ClosestMoment | null;
  readonly end: 'broken' | 'spooled' | 'landed' | null;
}

/** A moment in which line slipped, and a drag that held would have broken it. */
export interface ClosestMoment {
  readonly timeS: number;
  readonly lineOutM: number;
  readonly place: string;
  /** How many times as tight the drag would have had to be. */
  readonly tighter: number;
  /** What line and fish would have come to with the drag locked, as a share of what that place holds. */
  readonly lockedShare: number;
}

/** Line in hand when the fish takes (m), and at which it counts as landed. */
const START_OUT_M = 30;
const LANDED_OUT_M = 5;
/** Line that a hand winds in a second (m). */
const WIND_MS = 0.9;
/** A fish that thrusts and does not get on tires as if it swam so fast (m/s); it is tired out when it has pulled its own pull so far (m). */
const HOLDING_MS = 1;
const STAMINA_M = 900;
/** A surge is so much stronger than a run, and so short. */
const SURGE_TIMES = 2.6;
const SURGE_S = 0.5;

export function startFight(setup: FightSetup): FightState {
  const lineOutM = Math.min(START_OUT_M, setup.line.totalLengthM / 2);
  const nearest = setup.strength.places[0] ?? setup.strength.weakest;
  return {
    timeS: 0,
    lineOutM,
    distanceM: lineOutM,
    speedMS: 0,
    mood: 'run',
    moodEndsS: 8,
    stamina: 1,
    slipping: false,
    tipForceN: 0,
    fishForceN: 0,
    nearest,
    headroom: Infinity,
    joins: [],
    closest: null,
    end: null,
  };
}

/**
 * The fight a moment on. The fish thrusts against the line and the water on it; line and rod stretch as springs in a row;
 * where the tip's pull passes what the drag holds on the spool as it now is, line slips until it does not. Every place
 * that is out is held against the tension where it is.
 *
 * @param setup what fights whom
 * @param before the state so far
 * @param hands what they do meanwhile
 * @param stepS how long (s), a sixtieth of a second or less
 * @param chance numbers from 0 to 1, seeded by the caller
 */
export function stepFight(
  setup: FightSetup,
  before: FightState,
  hands: Hands,
  stepS: number,
  chance: () => number,
): FightState {
  if (before.end) return before;
  const { line, fish, strength } = setup;
  const timeS = before.timeS + stepS;
  const { mood, moodEndsS } = nextMood(before, timeS, chance);
  const thrustN = thrustOf(fish, mood, before.stamina, before.speedMS);
  const water = waterAlong(line, { ...setup.water, speedMS: Math.abs(before.speedMS) });
  const waterN = water(before.lineOutM).value;
  const giving = complianceMPerN(piecesOut(setup.pieces, before.lineOutM), setup.rodStiffnessNPerM);
  const speedMS = before.speedMS + ((thrustN - before.tipForceN - waterN) / fish.massKg) * stepS;
  const distanceM = Math.max(0.5, before.distanceM + speedMS * stepS);
  const wound = hands.winding && !before.slipping ? Math.min(WIND_MS * stepS, before.lineOutM - 1) : 0;
  let lineOutM = before.lineOutM - wound;
  let tipForceN = Math.max(0, (distanceM - lineOutM) / giving);
  const holdsN = dragNow(setup, lineOutM, hands.drag);
  // A drag that stands needs its breakaway to start; one that slips goes on at its moving pull.
  const gives = tipForceN > (before.slipping ? holdsN : holdsN * setup.breakawayRatio);
  if (gives) {
    lineOutM = Math.min(line.totalLengthM, lineOutM + (tipForceN - holdsN) * giving);
    tipForceN = Math.max(0, (distanceM - lineOutM) / giving);
  }
  const outside = (fromHookM: number): number => Math.max(0, waterN - water(fromHookM).value);
  const { nearest, headroom } = nearestPlace(strength, lineOutM, tipForceN, outside);
  // Locked, the line would stretch until it had taken up both the thrust and the fish's own momentum.
  const lockedN = Math.max(0, thrustN) + Math.max(0, speedMS) * Math.sqrt(fish.massKg / giving);
  const lockedShare = lockedN / nearest.strengthN.value;
  const isClosest = gives && lockedShare >= 1 && lockedShare > (before.closest?.lockedShare ?? 0);
  const closest = isClosest ? { timeS, lineOutM, place: nearest.name, tighter: headroom, lockedShare } : before.closest;
  const workJ = (before.tipForceN * Math.abs(speedMS) + Math.abs(thrustN) * HOLDING_MS) * stepS;
  const stamina = Math.max(0.15, before.stamina - workJ / (fish.pullN * STAMINA_M));
  return {
    timeS,
    lineOutM,
    distanceM,
    speedMS,
    mood,
    moodEndsS,
    stamina,
    slipping: gives,
    tipForceN,
    fishForceN: tipForceN + waterN,
    nearest,
    headroom,
    joins: strength.places.flatMap(({ id, kind, fromHookM }) =>
      kind === 'join' && fromHookM <= lineOutM ? [{ id, tensionN: tipForceN + outside(fromHookM) }] : [],
    ),
    closest,
    end:
      headroom < 1
        ? 'broken'
        : lineOutM >= line.totalLengthM - 0.01
          ? 'spooled'
          : lineOutM <= LANDED_OUT_M
            ? 'landed'
            : null,
  };
}

function nextMood(before: FightState, timeS: number, chance: () => number): Pick<FightState, 'mood' | 'moodEndsS'> {
  if (timeS < before.moodEndsS) return before;
  if (before.mood === 'surge') return { mood: 'run', moodEndsS: timeS + 2 + 4 * chance() };
  const draw = chance();
  if (draw < 0.3) return { mood: 'surge', moodEndsS: timeS + SURGE_S };
  if (draw < 0.3 + 0.35 * before.stamina) return { mood: 'run', moodEndsS: timeS + 3 + 7 * chance() };
  return { mood: 'rest', moodEndsS: timeS + 3 + 6 * chance() };
}

function thrustOf(fish: FishSetup, mood: FightState['mood'], stamina: number, speedMS: number): number {
  const share = { run: 1, rest: 0.15, surge: SURGE_TIMES }[mood];
  // The faster it swims, the less of its thrust is left for the line.
  const left = 1 - Math.sign(speedMS) * (speedMS / fish.speedMS) ** 2;
  return fish.pullN * share * stamina * Math.max(-1, left);
}

/** What the drag holds at the tip on the spool as it now is (N). */
export function dragNow(setup: Pick<FightSetup, 'line' | 'setForceN'>, lineOutM: number, drag: number): number {
  const { line } = setup;
  const paidOutM = Math.min(Math.max(lineOutM - line.handLinedLengthM, 0), line.woundLengthM);
  return setup.setForceN * drag * (line.fullDiameterM / spoolStateAt(line, paidOutM).diameterM);
}

function nearestPlace(
  strength: RigStrength,
  lineOutM: number,
  tipForceN: number,
  waterFrom: (fromHookM: number) => number,
): { readonly nearest: StrengthPlace; readonly headroom: number } {
  let [nearest, headroom] = [strength.places[0] ?? strength.weakest, Infinity];
  strength.places.forEach((place, index) => {
    if (index > 0 && place.fromHookM > lineOutM) return;
    const tensionN = tipForceN + waterFrom(place.fromHookM);
    const times = tensionN > 0 ? place.strengthN.value / tensionN : Infinity;
    if (times < headroom) [nearest, headroom] = [place, times];
  });
  return { nearest, headroom };
}
