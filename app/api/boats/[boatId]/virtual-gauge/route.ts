import { answer } from '@/app/api/answer';
import { breakInput } from '@/usecases/bench/benchInput';
import { breakOnVirtualGauge } from '@/usecases/bench/virtualBench';

export const POST = answer(breakInput, ({ boatId }: { boatId: string }, input) =>
  breakOnVirtualGauge(boatId, input.productId),
);
