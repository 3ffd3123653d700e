import { expose } from 'comlink';
import { planerFound } from '@/core/rig/drag/planerOfRig';

const worker = { found: planerFound };

export type PlanerWorker = typeof worker;

expose(worker);
