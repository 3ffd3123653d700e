import { answer } from '@/app/api/answer';
import { leverPointInput } from '@/usecases/drag/dragInput';
import { recordLeverPoint } from '@/usecases/drag/leverAndPlaner';

export const POST = answer(leverPointInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  recordLeverPoint(boatId, rigId, input),
);
