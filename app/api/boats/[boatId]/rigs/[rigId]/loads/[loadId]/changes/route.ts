import { answer } from '@/app/api/answer';
import { changeLength } from '@/usecases/load/changeLength';
import { lineChangeInput } from '@/usecases/load/loadInput';

export const POST = answer(
  lineChangeInput,
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }, input) =>
    changeLength(boatId, rigId, loadId, input),
);
