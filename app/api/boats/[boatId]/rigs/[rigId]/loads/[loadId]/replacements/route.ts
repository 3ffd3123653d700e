import { answer } from '@/app/api/answer';
import { replacementInput } from '@/usecases/load/loadInput';
import { replaceSegment } from '@/usecases/load/replaceSegment';

export const POST = answer(
  replacementInput,
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }, input) =>
    replaceSegment(boatId, rigId, loadId, input),
);
