import { answer } from '@/app/api/answer';
import { levelInput } from '@/usecases/load/loadInput';
import { noteLevel } from '@/usecases/load/winding';

export const POST = answer(
  levelInput,
  ({ boatId, rigId, loadId }: { boatId: string; rigId: string; loadId: string }, input) =>
    noteLevel(boatId, rigId, loadId, input),
);
