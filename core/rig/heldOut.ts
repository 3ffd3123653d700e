import type { EvidenceSource } from '../gear/gearEvidence';
import { currentLine } from './line/currentLine';
import { windingOutlook } from './line/windingOutlook';
import type { LevelRecord, RigRecord } from '../record/record';

/** A noted figure that disagrees so far with all else that nothing rests on it. */
export interface HeldOutPiece {
  readonly kind: 'level' | 'turns' | 'walk' | 'rating';
  /** What it is, in the words of its load. */
  readonly name: string;
  /** The level as it was noted (m under the rim); null for other pieces. */
  readonly levelBelowRimM: number | null;
  /** The row that would be taken back; null for a rating, which is changed at its reel. */
  readonly source: EvidenceSource | null;
}

/**
 * What is on record of a rig and its reel and was left out, each piece once: of the load that is on or being wound, and of
 * what earlier loads, reverse fills and ratings say of the reel.
 */
export function heldOutPieces(record: RigRecord): readonly HeldOutPiece[] {
  const ofLoad = levelsHeldOut(record).map((level): HeldOutPiece => {
    const segment = record.load?.segments.find(({ segmentId }) => segmentId === level.segmentId)?.name ?? '';
    const source = { kind: 'level', id: level.id } as const;
    return { kind: 'level', name: `level after ${segment}`, levelBelowRimM: level.levelBelowRimM, source };
  });
  const levels = record.load?.levels ?? [];
  const ofReel = record.knowledge.evidence
    .filter((piece) => piece.heldOut)
    .map(({ kind, name, source }): HeldOutPiece => {
      const level = levels.find((each) => each.id === source?.id);
      return { kind, name, source, levelBelowRimM: level?.levelBelowRimM ?? null };
    });
  return [...ofLoad, ...ofReel.filter(({ source }) => !ofLoad.some((each) => each.source?.id === source?.id))];
}

function levelsHeldOut(record: RigRecord): readonly LevelRecord[] {
  const winding = windingOutlook(record);
  if (winding) return winding.heldOutLevels;
  const current = currentLine(record);
  return current.ok ? current.value.heldOutLevels : [];
}
