import { advance, controlOf } from './advance';
import type { TowSection } from './towStack';
import { copyOf, type TowState } from './towStep';
import { takeOn } from './underWater';

/** Line in air, from where it leaves the water to the tip. */
export interface ThroughAir {
  /** Length of it (m); infinite where so much line never rises to the tip. */
  readonly lengthM: number;
  readonly tip: TowState;
  readonly offM: number;
}

/** A first step goes a little past the tip, so that one is enough where the line allows it. */
const PAST_TIP = 1.02;

/** About how much line rises to the tip (m): its angle, and the parabola that its weight bends it to. */
export function riseLength(sections: readonly TowSection[], from: TowState, tipHeightM: number): number {
  const section = sections.findLast(({ fromM }) => fromM <= from.sM) ?? sections[0];
  const bend = (section?.piece.dryWeightNPerM ?? 0) / from.tensionN;
  const sine = Math.sin(from.angleRad);
  const root = Math.sqrt(Math.max(sine ** 2 + 2 * bend * tipHeightM, 0));
  return sine + root > 1e-3 ? (2 * tipHeightM) / (sine + root) : tipHeightM;
}

/**
 * Follows the line through the air until it stands at the tip. The outermost piece of the stack is taken to go on: how much line that
 * would need is told, whether there is so much or not.
 *
 * @param from where the line leaves the water
 * @param tipHeightM of the tip over the water (m)
 * @param mostM no more line than that is looked at (m)
 * @param nodes takes the ends of steps, where they are wanted
 */
export function throughAir(
  sections: readonly TowSection[],
  from: TowState,
  tipHeightM: number,
  mostM: number,
  tolerance: number,
  nodes: TowState[] | null = null,
): ThroughAir {
  const state = copyOf(from);
  const kept = (next: TowState): void => void nodes?.push(copyOf(next));
  if (tipHeightM === 0) return { lengthM: 0, tip: state, offM: 0 };
  const control = controlOf(tolerance);
  control.stepM = PAST_TIP * riseLength(sections, from, tipHeightM);
  const overTip = ({ zM }: TowState): number => zM - from.zM - tipHeightM;
  const first = sections.findLastIndex((section) => section.fromM <= from.sM);
  for (let index = Math.max(first, 0); index < sections.length; index += 1) {
    const section = sections[index] as TowSection;
    if (section.fromM > from.sM) for (const load of section.loads) takeOn(state, load);
    const endM = index === sections.length - 1 ? Math.max(section.toM, from.sM + mostM) : section.toM;
    const how = advance(section.dry, state, endM, control, endM, overTip, kept);
    if (how === 'watched') return { lengthM: state.sM - from.sM, tip: state, offM: control.offM };
    if (how === 'slack') break;
  }
  return { lengthM: Infinity, tip: state, offM: control.offM };
}
