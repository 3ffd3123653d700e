import { answer } from '@/app/api/answer';
import { dragPullBenchInput } from '@/usecases/bench/benchInput';
import { streamVirtualPull } from '@/usecases/bench/virtualBench';

export const POST = answer(dragPullBenchInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  streamVirtualPull(boatId, rigId, input),
);
