import { expose } from 'comlink';
import { answerDepth, type DepthAnswer, type DepthQuestion } from '@/core/tow/answerDepth';

const worker = { answer: (question: DepthQuestion): DepthAnswer => answerDepth(question) };

export type TowWorker = typeof worker;

expose(worker);
