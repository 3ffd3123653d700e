import { answer } from '@/app/api/answer';
import { reverseFillInput } from '@/usecases/gear/gearInput';
import { recordReverseFill } from '@/usecases/gear/learning';

export const POST = answer(reverseFillInput, ({ boatId, reelId }: { boatId: string; reelId: string }, input) =>
  recordReverseFill(boatId, reelId, input),
);
