import { depthToNarrow, type DepthToNarrow } from '../../tow/depthToNarrow';
import { learnNearly } from '../../tow/learnNearly';
import { towedRig } from '../tow/towedRig';
import type { RigView } from '../view/rigView';
import { named, type RigFigure } from './rigFigure';

/**
 * How deep a rig swims with as much line out as it is fished with, and what would narrow that: of a rig that somebody has said to be
 * towed, once its line is wound. Beside {@link figuresOfRig}, since the line's equations are followed for it.
 */
export function depthOfRig(view: RigView): RigFigure | null {
  const { record } = view;
  if (record.towed === null || record.load?.status !== 'wound') return null;
  const { belief, marks, speedMS, rangeM, isDiveOpen } = towedRig(view);
  if (isDiveOpen || !(rangeM.toM > 0)) return null;
  return depthAsFigure(view, depthToNarrow(belief, learnNearly(belief, marks), record, speedMS, rangeM.toM));
}

/** A depth as a figure of its rig; null where the tip lifts the lure out: nothing can be measured for that. */
export function depthAsFigure(view: RigView, { value, ...narrow }: DepthToNarrow): RigFigure | null {
  return value > 0 ? named(view, { ...narrow, kind: 'depth', of: '', value }) : null;
}
