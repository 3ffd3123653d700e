import { answer } from '@/app/api/answer';
import { noteHang } from '@/usecases/count/counterFacts';
import { hangInput } from '@/usecases/count/countInput';

export const PUT = answer(hangInput, ({ boatId, rigId }: { boatId: string; rigId: string }, input) =>
  noteHang(boatId, rigId, input.hangM),
);
