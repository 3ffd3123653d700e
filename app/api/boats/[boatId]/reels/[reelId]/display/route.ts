import { answer } from '@/app/api/answer';
import { noteDisplay } from '@/usecases/count/counterFacts';
import { displayInput } from '@/usecases/count/countInput';

export const PUT = answer(displayInput, ({ boatId, reelId }: { boatId: string; reelId: string }, input) =>
  noteDisplay(boatId, reelId, input.display),
);
