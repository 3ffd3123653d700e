import { answer } from '@/app/api/answer';
import { pullInput } from '@/usecases/strength/strengthInput';
import { recordStrengthPull } from '@/usecases/strength/testStrength';

export const POST = answer(pullInput, ({ boatId, testId }: { boatId: string; testId: string }, input) =>
  recordStrengthPull(boatId, testId, input),
);
