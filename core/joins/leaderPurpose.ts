import { because, type Reason } from '../reasons';
import { isMono, type LineToJoin } from './ends';
import type { JoinKind } from './joinKinds';

/** What a leader is chosen for. */
export const LEADER_PURPOSES = ['unseen', 'feels weed', 'resists teeth', 'no twist'] as const;
export type LeaderPurpose = (typeof LEADER_PURPOSES)[number];

/** What a leader is for speaks for a join or against it: by so much, and why. */
export function purposeOf(
  kind: JoinKind,
  purpose: LeaderPurpose | null,
): { weight: number; reasons: readonly Reason[] } {
  if (purpose === 'no twist')
    return kind === 'small-swivel'
      ? { weight: 4, reasons: [because('turns-freely')] }
      : { weight: 0, reasons: [because('lets-twist-through')] };
  if (purpose === 'unseen' && kind === 'small-swivel') return { weight: -2, reasons: [because('swivel-is-seen')] };
  if (purpose === 'feels weed' && kind === 'small-swivel')
    return { weight: -1, reasons: [because('swivel-catches-weed')] };
  return { weight: 0, reasons: [] };
}

/** What the material of a leader is against what it is for; null where it suits, or where nothing decides. */
export function leaderAgainstPurpose(leader: LineToJoin, purpose: LeaderPurpose): Reason | null {
  switch (purpose) {
    case 'unseen':
      return leader.material === 'fluorocarbon' ? null : because('leader-is-seen');
    case 'feels weed':
      return isMono(leader) ? because('leader-stretches') : null;
    case 'resists teeth':
      return leader.material.endsWith('wire') ? null : because('leader-is-bitten');
    case 'no twist':
      return null;
  }
}
