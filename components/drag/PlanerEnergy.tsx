'use client';

import { piecesOut, storedEnergyJ, type ElasticPiece } from '@/core/drag/surge';
import { elasticPieces } from '@/core/rig/drag/elasticLine';
import { productOf } from '@/core/rig/line/planForRig';
import { productIdNow } from '@/core/rig/line/woundSegments';
import type { RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';

/** Main line that is out with a planer, without its leader (common practice, no source: 100 to 150 ft). */
const MAIN_OUT_M = 38;

/** Stretched nylon stores energy, and snaps back when a sea lifts the boat: told of the main line at hand. */
export function PlanerEnergy({ view, pullN }: { view: RigView; pullN: number | null }) {
  const { format } = useUnits();
  // The main line alone: a long nylon leader in front of it is as it should be.
  const main = view.current.line.segments.filter((segment) => segment.wound);
  const out = piecesOut(main, MAIN_OUT_M).map(({ id, lengthM }) => {
    const { material, name } = productOf(view.record, productIdNow(view.record, id));
    return { material, name, lengthM };
  });
  const stretchy = out.filter((piece) => piece.material === 'nylon' || piece.material === 'fluorocarbon');
  const nylonM = stretchy.reduce((sum, piece) => sum + piece.lengthM, 0);
  const warns = nylonM > 5;
  const pieces = elasticPieces(view)?.filter((_, index) => view.current.line.segments[index]?.wound);
  const energy = pieces && pullN !== null ? energyOf(piecesOut(pieces, MAIN_OUT_M), pullN) : null;
  return (
    <p className={`border-l-4 pl-3 text-sm ${warns ? 'border-warn' : 'border-rule'}`}>
      {warns
        ? `With ${format.length(MAIN_OUT_M)} of main line out, ${format.length(nylonM)} of it is ${stretchy[0]?.name ?? ''}: stretched, it snaps back when a sea lifts the boat. Braid for planers.`
        : `${out[0]?.name ?? 'This main line'} stretches little and stores little. Stand clear all the same.`}
      {energy && ` At that pull it stores about ${energy.nowJ.toFixed(0)} J`}
      {energy && (warns ? `; of braid it would be ${energy.asBraidJ.toFixed(0)} J.` : '.')}
    </p>
  );
}

function energyOf(pieces: readonly ElasticPiece[], pullN: number) {
  const sum = (of: (piece: ElasticPiece) => number): number => pieces.reduce((total, piece) => total + of(piece), 0);
  return {
    nowJ: sum((piece) => storedEnergyJ(piece, pullN)),
    asBraidJ: sum((piece) => storedEnergyJ({ ...piece, material: 'braid' }, pullN)),
  };
}
