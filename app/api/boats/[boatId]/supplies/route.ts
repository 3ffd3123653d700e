import { answer } from '@/app/api/answer';
import { addSupplySpool } from '@/usecases/gear/gear';
import { supplyInput } from '@/usecases/gear/gearInput';

export const POST = answer(supplyInput, ({ boatId }: { boatId: string }, input) => addSupplySpool(boatId, input));
