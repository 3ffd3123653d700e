import { answer } from '@/app/api/answer';
import { windingInput } from '@/usecases/load/loadInput';
import { noteWinding } from '@/usecases/load/winding';

export const POST = answer(
  windingInput,
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }, input) =>
    noteWinding(boatId, rigId, loadId, input),
);
