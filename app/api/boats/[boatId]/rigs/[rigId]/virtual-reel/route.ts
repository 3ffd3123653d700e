import { answer } from '@/app/api/answer';
import { benchInput } from '@/usecases/bench/benchInput';
import { workVirtualReel } from '@/usecases/bench/virtualBench';

export const POST = answer(benchInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  workVirtualReel(boatId, rigId, input),
);
