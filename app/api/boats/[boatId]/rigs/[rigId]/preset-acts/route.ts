import { answer } from '@/app/api/answer';
import { presetActInput } from '@/usecases/drag/dragInput';
import { workPreset } from '@/usecases/drag/leverAndPlaner';

export const POST = answer(presetActInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  workPreset(boatId, rigId, input),
);
