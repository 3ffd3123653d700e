import { answer } from '@/app/api/answer';
import { recordTrial } from '@/usecases/count/calibrate';
import { trialInput } from '@/usecases/count/countInput';

export const POST = answer(trialInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  recordTrial(boatId, rigId, input),
);
