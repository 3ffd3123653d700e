import { expose } from 'comlink';
import { answerDepth, depthCurves } from '@/core/tow/answerDepth';

// The answer goes first: somebody waits for it.
const worker = { answer: answerDepth, curves: depthCurves };

export type TowWorker = typeof worker;

expose(worker);
