import { answer } from '@/app/api/answer';
import { playPractice, practiceInput } from '@/usecases/count/practice';

export const POST = answer(practiceInput, (_: Record<string, string>, input) => Promise.resolve(playPractice(input)));
