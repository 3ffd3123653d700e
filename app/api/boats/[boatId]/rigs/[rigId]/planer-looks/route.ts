import { answer } from '@/app/api/answer';
import { planerLookInput } from '@/usecases/drag/dragInput';
import { recordPlanerLook } from '@/usecases/drag/leverAndPlaner';

export const POST = answer(planerLookInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  recordPlanerLook(boatId, rigId, input),
);
