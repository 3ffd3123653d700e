import { answer } from '@/app/api/answer';
import { saveStack } from '@/usecases/load/saveStack';
import { stackInput } from '@/usecases/load/stackInput';

export const PUT = answer(stackInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  saveStack(boatId, rigId, input),
);
