import { advance, controlOf } from './advance';
import type { TowSection } from './towStack';
import { copyOf, type TowState } from './towStep';
import { takeOn } from './underWater';

/** Line in air, from where it leaves the water to the tip. */
export interface ThroughAir {
  /** Length of it (m); infinite where so much line never rises to the tip. */
  readonly lengthM: number;
  readonly tip: TowState;
  /** Ends of steps, the water's first. */
  readonly nodes: readonly TowState[];
  readonly offM: number;
}

/**
 * Follows the line through the air until it stands at the tip. The outermost piece of the stack is taken to go on: how much line that
 * would need is told, whether there is so much or not.
 *
 * @param from where the line leaves the water
 * @param tipHeightM of the tip over the water (m)
 * @param mostM no more line than that is looked at (m)
 */
export function throughAir(
  sections: readonly TowSection[],
  from: TowState,
  tipHeightM: number,
  mostM: number,
  tolerance: number,
): ThroughAir {
  const state = copyOf(from);
  const nodes = [copyOf(state)];
  if (tipHeightM === 0) return { lengthM: 0, tip: state, nodes, offM: 0 };
  const control = controlOf(tolerance);
  control.stepM = tipHeightM;
  const overTip = ({ zM }: TowState): number => zM - from.zM - tipHeightM;
  const first = sections.findLastIndex((section) => section.fromM <= from.sM);
  for (let index = Math.max(first, 0); index < sections.length; index += 1) {
    const section = sections[index] as TowSection;
    if (section.fromM > from.sM) for (const load of section.loads) takeOn(state, load);
    const endM = index === sections.length - 1 ? Math.max(section.toM, from.sM + mostM) : section.toM;
    const how = advance(section.dry, state, endM, control, endM, overTip, (next) => nodes.push(copyOf(next)));
    if (how === 'watched') return { lengthM: state.sM - from.sM, tip: state, nodes, offM: control.offM };
    if (how === 'slack') break;
  }
  return { lengthM: Infinity, tip: state, nodes, offM: control.offM };
}
