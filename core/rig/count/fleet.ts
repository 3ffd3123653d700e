import { correctionTable } from '../../calibration/correctionTable';
import { countsAt } from '../../calibration/observations';
import { topAdjustment } from '../../calibration/topAdjustment';
import { median } from '../../numerics/median';
import type { Figure } from '../../provenance/figure';
import { because, type Reason } from '../../reasons';
import { reloadAdvice } from './reloadAdvice';
import type { RigView } from '../view/rigView';

/** What the rods are to agree on: the truth, or what the middle one of them shows. */
export type FleetGoal = 'true' | 'middle';

export interface FleetRod {
  readonly rigId: string;
  readonly name: string;
  readonly unitM: number;
  /** What the counter shows at the common true length. */
  readonly reading: Figure;
  /** Of the common true length what the counter never sees (m): what hangs from the tip at zero, and a leader let out by hand. */
  readonly notCountedM: number;
  /** Reading as a length ÷ true length past that: 1 is true; with half of its 95 % interval. */
  readonly share: number;
  readonly sharePlusMinus: number;
  /** What would bring it in line, and the share after it; the same share where only the card helps. */
  readonly action: FleetAction;
  readonly shareAfter: number;
}

export type FleetAction =
  | { readonly kind: 'none' }
  | { readonly kind: 'strip' | 'add'; readonly lengthM: Figure }
  | { readonly kind: 'reload'; readonly segmentName: string; readonly lengthM: Figure; readonly shareAfter: number }
  | { readonly kind: 'card'; readonly why: Reason };

export interface Fleet {
  readonly atM: number;
  readonly wantedShare: number;
  readonly rods: readonly FleetRod[];
  /** Rods of which nothing can be said, with the reason. */
  readonly left: readonly { readonly name: string; readonly why: Reason }[];
  /** Largest less smallest share, and half of the 95 % interval of what lies between those two. */
  readonly spreadBefore: number;
  readonly spreadPlusMinus: number;
  readonly spreadAfter: number;
}

/** Shares nearer than this to what is wanted are left alone: half a per cent. */
const GOOD_ENOUGH = 0.005;

/**
 * Makes rods agree: the reading on each for a common true length out, what would bring each in line, and how far they
 * lie apart before and after.
 *
 * @param views the rods chosen
 * @param lengthOutM common true length from the hook (m)
 * @param goal what they are to agree on
 */
export function compareFleet(views: readonly RigView[], lengthOutM: number, goal: FleetGoal): Fleet {
  const left: { name: string; why: Reason }[] = [];
  const seen = views.flatMap((view) => {
    const { record, counter, current } = view;
    const paidOutM = lengthOutM - current.line.handLinedLengthM - (record.hangM ?? 0);
    const why = !counter
      ? because('fleet-no-counter')
      : current.state !== 'wound'
        ? because('fleet-not-loaded')
        : paidOutM <= 0 || paidOutM > current.line.woundLengthM
          ? because('fleet-too-short')
          : null;
    if (why !== null || !counter) {
      left.push({ name: record.name, why: why ?? because('fleet-no-counter') });
      return [];
    }
    const [reading] = correctionTable(counter, [paidOutM]);
    if (!reading) return [];
    const { unitM } = counter.counter;
    return [{ view, counter, paidOutM, unitM, reading, share: (reading.value * unitM) / paidOutM }];
  });
  const wantedShare = goal === 'true' || seen.length === 0 ? 1 : median(seen.map((rod) => rod.share));
  const rods = seen.map(({ view, counter, paidOutM, unitM, reading, share }): FleetRod => {
    const sharePlusMinus = (reading.plusMinus * unitM) / paidOutM;
    const of = { rigId: view.record.id, name: view.record.name, notCountedM: lengthOutM - paidOutM };
    const base = { ...of, unitM, reading, share, sharePlusMinus };
    const action = actionFor(view, counter, paidOutM, share, wantedShare);
    return { ...base, action, shareAfter: shareAfter(action, share, wantedShare) };
  });
  return {
    atM: lengthOutM,
    wantedShare,
    rods,
    left,
    spreadBefore: spread(rods.map((rod) => rod.share)),
    spreadPlusMinus: spreadPlusMinus(rods),
    spreadAfter: spread(rods.map((rod) => rod.shareAfter)),
  };
}

/** Stripping or adding is worked out for this very length; a reload is true on average, and here only nearly. */
function shareAfter(action: FleetAction, share: number, wantedShare: number): number {
  if (action.kind === 'reload') return action.shareAfter;
  return action.kind === 'strip' || action.kind === 'add' ? wantedShare : share;
}

function spread(shares: readonly number[]): number {
  return shares.length === 0 ? 0 : Math.max(...shares) - Math.min(...shares);
}

/** Of the two that lie farthest apart; taken as if they shared no error, which makes it wider than it is. */
function spreadPlusMinus(rods: readonly FleetRod[]): number {
  const byShare = [...rods].sort((one, other) => one.share - other.share);
  return Math.hypot(byShare[0]?.sharePlusMinus ?? 0, byShare.at(-1)?.sharePlusMinus ?? 0);
}

function actionFor(
  view: RigView,
  counter: NonNullable<RigView['counter']>,
  paidOutM: number,
  share: number,
  wantedShare: number,
): FleetAction {
  if (Math.abs(share - wantedShare) < GOOD_ENOUGH) return { kind: 'none' };
  const { record } = view;
  const top = record.load?.segments.findLast((segment) => segment.wound);
  const wantedCounts = (wantedShare * paidOutM) / counter.counter.unitM;
  const outcome = topAdjustment(counter, paidOutM, record.reel.fullDiameterM.value, wantedCounts);
  if (outcome.ok && top && !top.lengthKnown) {
    const { value, plusMinus, mainlyFrom } = outcome.value.stripM;
    return { kind: value > 0 ? 'strip' : 'add', lengthM: { value: Math.abs(value), plusMinus, mainlyFrom } };
  }
  if (!outcome.ok && outcome.reason === 'already-true') return { kind: 'none' };
  if (!outcome.ok && outcome.reason === 'roller-driven') {
    return { kind: 'card', why: because('fleet-roller') };
  }
  // A reload makes a counter true, not anything that one may want.
  const reload = wantedShare === 1 ? reloadAdvice(record, counter, view.current.line) : null;
  if (reload?.ok) {
    const { segmentName, thenM, plusMinusM, after } = reload.value;
    const { unitM } = counter.counter;
    const lengthM = { value: thenM, plusMinus: plusMinusM, mainlyFrom: null };
    return { kind: 'reload', segmentName, lengthM, shareAfter: (countsAt(after, paidOutM, unitM) * unitM) / paidOutM };
  }
  if (outcome.ok) return { kind: 'card', why: because('fleet-top-fixed', { top: top?.name ?? '' }) };
  return {
    kind: 'card',
    why: because(outcome.reason === 'past-the-rim' ? 'fleet-overfull' : 'fleet-top-short'),
  };
}
