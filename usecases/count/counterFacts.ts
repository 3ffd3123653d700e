import 'server-only';
import type { CounterRecord } from '../../core/rig/record';
import { setDisplay } from '../../db/queries/reels';
import { setHang } from '../../db/queries/rigs';
import { withTransaction } from '../../db/withTransaction';
import { done, notFound, type UseCaseOutcome } from '../outcome';

/** Keeps what the quiz found out about a reel's display. */
export async function noteDisplay(
  boatId: string,
  reelId: string,
  display: CounterRecord['display'],
): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) =>
    (await setDisplay(db, boatId, reelId, display)) ? done({ done: true }) : notFound('counter'),
  );
}

/** Keeps what hangs from the tip of a rig when its counter is zeroed. */
export async function noteHang(boatId: string, rigId: string, hangM: number): Promise<UseCaseOutcome<{ done: true }>> {
  return withTransaction(async (db) =>
    (await setHang(db, boatId, rigId, hangM)) ? done({ done: true }) : notFound('rig'),
  );
}
