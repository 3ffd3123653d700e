import { basisFigure, type Basis } from '../provenance/basis';
import type { LoadedLine } from '../spool/loadedLine';
import { presetOf } from './drag/leverOfRig';
import { productOf } from './line/planForRig';
import type { RigRecord } from '../record/record';
import type { RigStrength } from '../strength/rigStrength';

/** What a load rests on: the stack as it is planned now, and the spool. */
export function loadBasis(record: RigRecord): Basis {
  const { reel } = record;
  const basis: Record<string, string> = {
    // As measured: what a load teaches of its own reel does not make it stale.
    'arbor diameter': basisFigure(reel.measured.arborDiameterM),
    'spool width': basisFigure(reel.measured.widthM),
    'full diameter': basisFigure(reel.measured.fullDiameterM),
    'order of the segments': record.segments.map((segment) => segment.name).join(', '),
  };
  for (const segment of record.segments) {
    const product = productOf(record, segment.productId);
    basis[`line of ${segment.name}`] = product.name;
    basis[`thickness of ${product.name}`] = basisFigure(product.diameterM.value);
    basis[`length of ${segment.name}`] = segment.lengthM === null ? 'solved' : basisFigure(segment.lengthM);
  }
  return basis;
}

/** What a calibration rests on: this very load, and the line as it lies on the spool. */
export function countBasis(record: RigRecord, line: LoadedLine): Basis {
  const basis: Record<string, string> = {
    'the load': record.load?.id ?? 'none',
    'the level on the spool': [...(record.load?.levels ?? []), record.load?.levelBelowRimM ?? null]
      .map((level) => basisFigure(typeof level === 'object' && level !== null ? level.levelBelowRimM : level))
      .join(', '),
  };
  for (const segment of record.load?.segments ?? []) {
    const present = line.segments.find((candidate) => candidate.id === segment.segmentId);
    const changes = (record.load?.changes ?? []).filter((change) => change.segmentId === segment.segmentId);
    // Changes, not derived lengths: a better constant re-derives lengths without the line having moved.
    const lostM = changes.reduce((sum, change) => sum + change.changeM, 0);
    const replaced = record.load?.replacements.findLast((each) => each.segmentId === segment.segmentId);
    basis[`length of ${segment.name}`] = present
      ? `${basisFigure(segment.plannedLengthM)}${lostM ? ` ${basisFigure(lostM)}` : ''}${replaced ? `, replaced ${replaced.at}` : ''}`
      : 'gone';
  }
  return basis;
}

/** What a drag setting rests on: the line on the spool and the strengths along it. */
export function dragBasis(record: RigRecord, line: LoadedLine, strength: RigStrength): Basis {
  const basis: Record<string, string> = { ...countBasis(record, line) };
  for (const place of [...strength.places, ...(strength.arborJoin ? [strength.arborJoin] : [])]) {
    basis[`strength of ${place.name}`] = basisFigure(place.strengthN.value);
  }
  // Where nobody has said how much of the line counts, a setting rests on the usual, as it did before anybody could say.
  if (record.reach) basis['the reach'] = `${record.reach.kind} ${basisFigure(record.reach.runM)}`;
  basis["the maker's drag limit"] = basisFigure(record.reel.dragLimitN);
  const preset = presetOf(record.presetActs);
  // A preset that was never turned is left out, as it was in settings that knew of none.
  if (preset.turns !== 0 || preset.wrongTurns !== 0) basis['the preset'] = basisFigure(preset.turns);
  return basis;
}
