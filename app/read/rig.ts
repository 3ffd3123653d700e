import 'server-only';
import { cache } from 'react';
import { asId } from '@/usecases/inputs';
import { readRig } from '@/usecases/rigs/readRigs';
import { pageCrew, readPage } from './snapshot';

/** The record of one rig with its boat's crew: read once for a page, whoever asks. */
export const rigPage = cache((boatId: string, rigId: string) =>
  readPage(boatId, async (db) => {
    const id = asId(rigId);
    const record = id === null ? null : await readRig(db, id);
    return record && { record, crew: await pageCrew(db) };
  }),
);
