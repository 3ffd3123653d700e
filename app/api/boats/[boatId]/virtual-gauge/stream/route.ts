import { answer } from '@/app/api/answer';
import { streamInput } from '@/usecases/bench/benchInput';
import { streamVirtualGauge } from '@/usecases/bench/virtualBench';

export const POST = answer(streamInput, ({ boatId }: { boatId: string }, input) => streamVirtualGauge(boatId, input));
