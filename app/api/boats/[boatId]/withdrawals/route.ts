import { answer } from '@/app/api/answer';
import { withdraw } from '@/usecases/corrections/withdraw';
import { withdrawInput } from '@/usecases/corrections/withdrawInput';

export const POST = answer(withdrawInput, ({ boatId }: { boatId: string }, input) => withdraw(boatId, input));
