import { answer } from '@/app/api/answer';
import { personInput } from '@/usecases/joins/joinInput';
import { addPerson } from '@/usecases/joins/joins';

export const POST = answer(personInput, ({ boatId }: { boatId: string }, input) => addPerson(boatId, input));
