import { answer } from '@/app/api/answer';
import { colourInput } from '@/usecases/load/loadInput';
import { noteColour } from '@/usecases/load/noteColour';

export const POST = answer(
  colourInput,
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }, input) =>
    noteColour(boatId, rigId, loadId, input),
);
