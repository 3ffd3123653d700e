import { ROD_STIFFNESS_N_PER_M, type ElasticPiece } from '../../drag/surge';
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

/** Mass of a spool without line (kg), from memory: what turns with the line when a fish jerks. */
const SPOOL_KG = 0.15;
const LINE_KG_PER_M3 = 1000;

/** Moment of inertia of spool and line with all of it on (kg·m²): a hollow cylinder of line on a thin spool. */
export function spoolInertia({ current }: RigView): number {
  const { line } = current;
  const [inner, outer] = [line.spool.arborDiameterM / 2, line.fullDiameterM / 2];
  const lineKg =
    LINE_KG_PER_M3 *
    line.segments.reduce((sum, each) => {
      return each.wound ? sum + (Math.PI / 4) * each.lineDiameterM ** 2 * each.lengthM : sum;
    }, 0);
  return 0.5 * lineKg * (inner ** 2 + outer ** 2) + 0.5 * SPOOL_KG * outer ** 2;
}

/** A rod's tip as a spring, until somebody measures one (N/m). */
export const DEFAULT_ROD_STIFFNESS = ROD_STIFFNESS_N_PER_M;
