import { answer } from '@/app/api/answer';
import { acceptCalibration } from '@/usecases/count/calibrate';
import { acceptInput } from '@/usecases/count/countInput';

export const POST = answer(acceptInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  acceptCalibration(boatId, rigId, input),
);
