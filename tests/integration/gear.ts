import { finishInput, windingInput } from '../../usecases/load/loadInput';
import {
  beginWinding,
  createLine,
  createReel,
  createRig,
  finishWinding,
  makeBoat,
  noteWinding,
  readRigRecord,
  saveStack,
} from './acts';
import { randomUUID } from 'node:crypto';
import type { ReelFormInput } from '../../usecases/gear/gearInput';
import type { StackInput } from '../../usecases/load/stackInput';
import type { UseCaseOutcome } from '../../usecases/outcome';

/** The value of an outcome that must be good. */
export function must<T>(outcome: UseCaseOutcome<T>): T {
  if (!outcome.ok) throw new Error(`${outcome.status}: ${JSON.stringify(outcome.why)}`);
  return outcome.value;
}

export const REEL: ReelFormInput = {
  name: 'Counter reel 40, test bench',
  kind: 'conventional',
  arborDiameterM: 0.0314,
  widthM: 0.0286,
  fullDiameterM: 0.0618,
  ratings: [],
  counter: { drive: 'spool', unitM: 1, digits: 3, lengthPerTurnM: 0.174, source: 'maker', display: 'rounds' },
  windHand: 'right',
  gearRatio: null,
  dragKind: 'star',
  dragLimitN: 88,
};

export interface Bench {
  readonly boatId: string;
  readonly rigId: string;
  readonly reelId: string;
  readonly lineIds: readonly string[];
  readonly stack: StackInput;
}

/** A boat with one planned rig: backing to be worked out, copper, a top shot. */
export async function bench(boatName: string): Promise<Bench> {
  const boatId = await makeBoat(boatName, 'Ormund Sound');
  const reelId = must(await createReel(boatId, REEL)).id;
  const line = async (name: string, material: 'nylon' | 'copper wire', diameterM: number): Promise<string> =>
    must(
      await createLine(boatId, {
        name,
        material,
        diameterM,
        diameterSource: 'measured',
        labelStrengthN: 100,
        family: '',
        construction: null,
        massKgPerM: null,
        colourLengthM: null,
        colours: [],
      }),
    ).id;
  const lineIds = [await line('Nylon 0.40', 'nylon', 0.0004), await line('Copper 0.72', 'copper wire', 0.00072)];
  const rigId = must(await createRig(boatId, { name: 'Test rod', note: '', reelId })).id;
  const segments = [
    { name: 'Backing', role: 'backing' as const, productId: lineIds[0] ?? '', lengthM: null },
    { name: 'Copper', role: 'weighted line' as const, productId: lineIds[1] ?? '', lengthM: 45 },
    { name: 'Top shot', role: 'top shot' as const, productId: lineIds[0] ?? '', lengthM: 40 },
  ].map((segment) => ({
    ...segment,
    id: randomUUID(),
    lengthKnown: segment.name === 'Copper',
    wound: true,
    colours: [],
    colourLengthM: null,
    purpose: null,
  }));
  const joins = segments.map((segment, index) => ({
    innerSegmentId: segments[index - 1]?.id ?? null,
    outerSegmentId: segment.id,
    kind: index === 0 ? ('arbor-sliding-knot' as const) : ('small-swivel' as const),
    part: 'join' as const,
  }));
  const stack = { version: 1, segments, joins, fill: null };
  must(await saveStack(boatId, rigId, stack));
  return { boatId, rigId, reelId, lineIds, stack };
}

/** Winds a bench's rig as it is planned, each segment to its stop reading; gives the load. */
export async function windWhole({ boatId, rigId }: Bench): Promise<string> {
  const record = () => readRigRecord(boatId, rigId);
  const version = (await record())?.version ?? 0;
  const { loadId } = must(await beginWinding(boatId, rigId, { version, levelBelowRimM: 0.002 }));
  for (const { segmentId, stopReading } of (await record())?.load?.segments ?? []) {
    must(await noteWinding(boatId, rigId, loadId, windingInput.parse({ segmentId, reading: stopReading })));
  }
  must(await finishWinding(boatId, rigId, loadId, finishInput.parse({ version: 1, levelBelowRimM: 0.002 })));
  return loadId;
}
