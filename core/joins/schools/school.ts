import type { JoinKind } from '../joinKinds';

/**
 * One step of tying a join. A counted step is done so many times; the seating pull can never be left out; a figure
 * names what is worked out for the very line (see prepFigures).
 */
export interface GuideStep {
  readonly id: string;
  readonly kind: 'prepare' | 'tie' | 'count' | 'seat' | 'trim' | 'check';
  /** What to do, worded by the dictionary. */
  readonly says: StepText;
  readonly times?: { readonly least: number; readonly most: number };
  readonly figure?: PrepFigureName;
  readonly caution?: CautionName;
}

export type PrepFigureName =
  | 'strip'
  | 'sheathStrip'
  | 'bury'
  | 'needle'
  | 'loop'
  | 'fold'
  | 'tag'
  | 'wraps'
  | 'overhang'
  | 'seating'
  | 'tension'
  | 'arborTurns'
  | 'taper'
  | 'sleeve';

export type CautionName = 'braid-cuts' | 'glue' | 'flame' | 'lead' | 'needle' | 'teeth' | 'wire';

export type SchoolId =
  | 'arbor-sliding'
  | 'arbor-tape'
  | 'arbor-underlay'
  | 'arbor-crossed'
  | 'double-sliding'
  | 'double-sliding-dry'
  | 'double-sliding-sheath'
  | 'sheath-single'
  | 'sheath-double'
  | 'plait-long'
  | 'plait-counted'
  | 'plait-short'
  | 'plait-melted'
  | 'splice-loop'
  | 'loop-to-loop'
  | 'long-loop'
  | 'swivel'
  | 'fold-wraps'
  | 'sleeve-whipped'
  | 'tied-loop'
  | 'wire-twist';

/** What a step says, by a key of the dictionary. */
export type StepText =
  | 'arbor-clean-dry'
  | 'arbor-clean-dry-nylon'
  | 'arbor-clean-wraps'
  | 'bare-lead-break'
  | 'bare-lead-ten'
  | 'bend-wire'
  | 'break-wire'
  | 'bury-tag-too'
  | 'close-turns-wire'
  | 'crossed-over-tag'
  | 'draw-end-in'
  | 'draw-knot-onto'
  | 'draw-line-in'
  | 'draw-them-down'
  | 'draw-two-knots'
  | 'drop-glue-fringe'
  | 'drop-glue-let'
  | 'fold-end-back'
  | 'fold-for-loop'
  | 'half-hitches-one'
  | 'hitches-left-right'
  | 'hitches-round'
  | 'keep-braid-taut'
  | 'lay-along-fold'
  | 'lay-braid-over'
  | 'lay-two-ends'
  | 'leave-loop-passes'
  | 'load-slowly-short'
  | 'locking-hitch-with'
  | 'make-loop-as'
  | 'mark-spool-line'
  | 'melt-tag'
  | 'milk-smooth-from'
  | 'more-overhands'
  | 'needle-from-end'
  | 'needle-into-hollow'
  | 'one-layer-cloth'
  | 'out-of-fold'
  | 'overhands-round-lines'
  | 'pack-first-layers'
  | 'pass-line-round'
  | 'pass-loop-through'
  | 'pass-one-loop'
  | 'pass-whole-leader'
  | 'passes-eleven-over'
  | 'passes-over-under'
  | 'passes-over-under-in'
  | 'pull-again'
  | 'pull-again-before'
  | 'pull-against-loop'
  | 'pull-hard-before'
  | 'pull-hard-first'
  | 'pull-hard-until'
  | 'pull-line-sleeve'
  | 'pull-mono-against'
  | 'pull-one-line'
  | 'pull-standing-line'
  | 'pull-standing-lines'
  | 'pull-tight-against'
  | 'push-mono-into'
  | 'second-one-about'
  | 'slide-overhand-end'
  | 'smooth-sheath-end'
  | 'spread-legs-under'
  | 'spread-wire-twists'
  | 'steady-pull-look'
  | 'taper-tag-by'
  | 'thin-braid-end'
  | 'tie-overhand-loosely'
  | 'tie-two-overhands'
  | 'trim-close'
  | 'trim-fringe'
  | 'trim-leader-braid'
  | 'trim-leader-partly'
  | 'trim-tag'
  | 'trim-tag-both'
  | 'trim-tag-close'
  | 'trim-tags'
  | 'trim-tags-short'
  | 'try-bare-swivel'
  | 'turn-loop-through'
  | 'turns-finish-tag'
  | 'turns-knot-first'
  | 'turns-knot-second'
  | 'turns-locked-finish'
  | 'turns-sliding-knot'
  | 'twists'
  | 'wet-draw-fold'
  | 'wet-draw-loop'
  | 'wet-draw-them'
  | 'wet-draw-them-down'
  | 'wet-slide-down'
  | 'whip-end'
  | 'wind-one-or'
  | 'wraps-first-knot'
  | 'wraps-fold'
  | 'wraps-second-knot';

/** A way in which people tie a join, with its steps in order. */
export interface School {
  readonly id: SchoolId;
  readonly join: JoinKind;
  readonly steps: readonly GuideStep[];
  /** Where its numbers come from: common practice without a source, in one case with the seating pull added; or memory. */
  readonly source: 'practice' | 'practice, seating pull added' | 'memory';
  /** Only where the sheath of lead core is tied, or only where it is not; either way where left out. */
  readonly sheath?: boolean;
}

/** The pull that seats a join: no school leaves it out. */
export const seat = (says: StepText): GuideStep => ({
  id: 'seat',
  kind: 'seat',
  says,
  figure: 'seating',
  caution: 'braid-cuts',
});
