import { answer } from '@/app/api/answer';
import { boatInput } from '@/usecases/boats/boatInput';
import { createBoat } from '@/usecases/boats/createBoat';

export const POST = answer(boatInput, (_params: Record<string, never>, input) => createBoat(input));
