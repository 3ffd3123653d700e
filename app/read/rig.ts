import 'server-only';
import { cache } from 'react';
import { stationStates } from '@/core/rig/stationStates';
import { viewFound } from '@/core/rig/view/rigView';
import { asId } from '@/usecases/inputs';
import { readRig } from '@/usecases/rigs/readRigs';
import { pageCrew, readPage } from './snapshot';

/** The record of one rig with its boat's crew: read once for a page, whoever asks. What takes long to find goes along. */
export const rigPage = cache(async (boatId: string, rigId: string) => {
  const read = await readPage(boatId, async (db) => {
    const id = asId(rigId);
    const record = id === null ? null : await readRig(db, id);
    return record && { record, crew: await pageCrew(db) };
  });
  return { ...read, found: viewFound(read.record), states: stationStates(read.record) };
});
