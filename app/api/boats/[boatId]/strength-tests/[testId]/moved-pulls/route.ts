import { answer } from '@/app/api/answer';
import { moveInput } from '@/usecases/strength/strengthInput';
import { movePull } from '@/usecases/strength/testStrength';

export const POST = answer(moveInput, ({ boatId, testId }: { boatId: string; testId: string }, input) =>
  movePull(boatId, testId, input),
);
