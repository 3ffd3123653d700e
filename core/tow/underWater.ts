import { advance, controlOf } from './advance';
import { criticalAngle } from './criticalAngle';
import type { Tow, TowSection } from './towStack';
import { copyOf, type StepError, type TowState } from './towStep';
import type { TowedForce } from './towedLine';

/** Under this a lure's pull tells no angle (N): the line starts at its critical one. */
const FAINT_N = 1e-3;

/** The wet line of one speed, from the lure up: it serves every length that is out. */
export interface UnderWater {
  readonly sections: readonly TowSection[];
  /** How far up it was followed (m), and why no farther. */
  readonly endM: number;
  readonly end: 'whole' | 'surface' | 'slack';
  /** What x and z are off by at most, as an estimate (m). */
  readonly offM: number;
  /** Ends of steps, and ends of sections before their loads. */
  readonly nodes: readonly TowState[];
  /** Where the line is, so far up from the lure (m, from 0 to endM), with the load that sits there taken on. */
  readonly at: (sM: number) => TowState;
}

/** The pull above a load that sits on the line: both are added as forces. */
export function takeOn(state: TowState, { dragN, downN }: TowedForce): void {
  const backN = state.tensionN * Math.cos(state.angleRad) + dragN;
  const downAllN = state.tensionN * Math.sin(state.angleRad) + downN;
  state.tensionN = Math.hypot(backN, downAllN);
  state.angleRad = Math.atan2(downAllN, backN);
}

/**
 * Follows the line under water from the lure up, until all of it is told, it floats up to the surface, or nothing pulls at it.
 *
 * @param tolerance see {@link advance}
 */
export function underWater(tow: Tow, sections: readonly TowSection[], tolerance: number): UnderWater {
  const control = controlOf(tolerance);
  const state = start(tow, sections);
  const nodes: TowState[] = [];
  const begins: { readonly node: number; readonly section: TowSection }[] = [];
  const lastM = sections.at(-1)?.toM ?? 0;
  let end: UnderWater['end'] = 'whole';
  for (const section of sections) {
    for (const load of section.loads) takeOn(state, load);
    begins.push({ node: nodes.length, section });
    nodes.push(copyOf(state));
    // Where it comes down to level it lies on the surface: from there on it would sink towards the boat.
    let wasUp = state.angleRad > 0;
    const level = (next: TowState): number => {
      if (next.angleRad > 0) wasUp = true;
      return wasUp ? -next.angleRad : -1;
    };
    const how = advance(section.wet, state, section.toM, control, lastM, level, (next) => nodes.push(copyOf(next)));
    if (how !== 'end') {
      end = how === 'slack' ? 'slack' : 'surface';
      break;
    }
  }
  const endM = state.sM;
  const off: StepError = { tensionN: 0, angleRad: 0, xM: 0, zM: 0 };

  function at(sM: number): TowState {
    let [low, high] = [0, nodes.length - 1];
    while (low < high) {
      const mid = Math.ceil((low + high) / 2);
      if ((nodes[mid] as TowState).sM <= sM) low = mid;
      else high = mid - 1;
    }
    const node = nodes[low] as TowState;
    const found = copyOf(node);
    if (sM - node.sM > 1e-12) {
      const { section } = begins.findLast((each) => each.node <= low) ?? (begins[0] as (typeof begins)[number]);
      section.wet(node, sM - node.sM, found, off);
    }
    return found;
  }
  return { sections, endM, end, offM: control.offM, nodes, at };
}

function start({ lure, speedMS, water, by }: Tow, [first]: readonly TowSection[]): TowState {
  const tensionN = Math.hypot(lure.dragN, lure.downN);
  const angleRad =
    tensionN < FAINT_N && first ? criticalAngle(first.piece, speedMS, water, by) : Math.atan2(lure.downN, lure.dragN);
  return { sM: 0, xM: 0, zM: 0, tensionN, angleRad };
}
