import 'server-only';
import { randomUUID } from 'node:crypto';
import type { Material } from '../../core/materials/materials';
import type { BoatDb } from '../../db/withBoat';
import { lineInput, reelInput } from '../gear/gearInput';
import { createLine, createReel } from '../gear/gear';
import { saveStack } from '../load/saveStack';
import { stackInput } from '../load/stackInput';
import { done, type UseCaseOutcome } from '../outcome';
import type { FirstReelInput } from './firstReelInput';
import { createRig } from '../rigs/makeRig';

const COUNT_M = { feet: 0.3048, metres: 1 } as const;
const MM = 1000;

/**
 * A reel, its lines, a rig and its plan from what is on the boxes, all or nothing: the backing is the length that is worked out. What was not
 * asked for is as usual, and can be said at its place later.
 */
export async function makeFirstRig(
  db: BoatDb,
  { name, holdsM, ofThicknessM, countsIn, material, thicknessM, lengthM, backingThicknessM }: FirstReelInput,
): Promise<UseCaseOutcome<{ id: string }>> {
  const reel = await createReel(
    db,
    reelInput.parse({
      ...{ name, kind: 'conventional', arborDiameterM: null, widthM: null, fullDiameterM: null },
      ratings: [{ label: 'on the box', lineDiameterM: ofThicknessM, lengthM: holdsM }],
      counter:
        countsIn === 'no counter'
          ? null
          : { unitM: COUNT_M[countsIn], digits: 3, lengthPerTurnM: null, source: 'default', display: 'unknown' },
      ...{ windHand: 'right', dragKind: 'star', dragLimitN: null },
    }),
  );
  if (!reel.ok) return reel;
  const line = (of: Material, diameterM: number) =>
    createLine(
      db,
      lineInput.parse({
        name: `${of[0]?.toUpperCase()}${of.slice(1)} ${(MM * diameterM).toFixed(2)} mm`,
        ...{ material: of, diameterM, diameterSource: 'label', labelStrengthN: null },
      }),
    );
  const top = await line(material, thicknessM);
  if (!top.ok) return top;
  const underM = backingThicknessM ?? thicknessM;
  const isSame = material === 'nylon' && underM === thicknessM;
  const under = isSame ? top : await line('nylon', underM);
  if (!under.ok) return under;
  const rig = await createRig(db, { name: `Rod of ${name}`.slice(0, 80), note: '', reelId: reel.value.id, like: null });
  if (!rig.ok) return rig;
  const [backingId, topId] = [randomUUID(), randomUUID()];
  const segment = { lengthKnown: false, wound: true, colours: [] };
  const stack = stackInput.parse({
    version: 1,
    segments: [
      { ...segment, id: backingId, name: 'Backing', role: 'backing', productId: under.value.id, lengthM: null },
      { ...segment, id: topId, name: 'Top shot', role: 'top shot', productId: top.value.id, lengthM },
    ],
    joins: [
      { innerSegmentId: null, outerSegmentId: backingId, kind: 'arbor-sliding-knot' },
      { innerSegmentId: backingId, outerSegmentId: topId, kind: 'double-sliding-knot' },
    ],
  });
  const saved = await saveStack(db, rig.value.id, stack);
  return saved.ok ? done({ id: rig.value.id }) : saved;
}
