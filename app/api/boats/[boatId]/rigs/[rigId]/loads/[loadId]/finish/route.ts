import { answer } from '@/app/api/answer';
import { finishInput } from '@/usecases/load/loadInput';
import { finishWinding } from '@/usecases/load/winding';

export const POST = answer(
  finishInput,
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }, input) =>
    finishWinding(boatId, rigId, loadId, input),
);
