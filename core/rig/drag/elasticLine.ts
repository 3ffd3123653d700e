import { ROD_STIFFNESS_N_PER_M, type ElasticPiece } from '../../drag/surge';
import { inertiaOf } from '../../drag/spoolInertia';
import { productOf } from '../line/planForRig';
import type { RigView } from '../view/rigView';
import { productIdNow } from '../line/woundSegments';
import { productStrength } from '../strength/strengthOfRig';

/** Each line of a rig as it gives way under a pull, in order from the arbor; null while one's strength is not known. */
export function elasticPieces(view: RigView): readonly ElasticPiece[] | null {
  const pieces = view.current.line.segments.map(({ id, lengthM }) => {
    const productId = productIdNow(view.record, id);
    const strength = productStrength(view.record, productId).strengthN;
    return strength && { lengthM, material: productOf(view.record, productId).material, strengthN: strength.value };
  });
  const known = pieces.filter((piece) => piece !== null);
  return known.length === pieces.length ? known : null;
}

/** Moment of inertia of a rig's spool with all of its line on (kg·m²). */
export function spoolInertia({ current }: RigView): number {
  const { line } = current;
  const lineM3 = line.segments.reduce((sum, each) => {
    return each.wound ? sum + (Math.PI / 4) * each.lineDiameterM ** 2 * each.lengthM : sum;
  }, 0);
  return inertiaOf(line.spool.arborDiameterM / 2, line.fullDiameterM / 2, lineM3);
}

/** A rod's tip as a spring, until somebody measures one (N/m). */
export const DEFAULT_ROD_STIFFNESS = ROD_STIFFNESS_N_PER_M;
