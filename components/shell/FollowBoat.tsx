'use client';

import { useFollow } from './useFollow';

/** Keeps a page of a whole boat true while other devices work on it. */
export function FollowBoat({ boatId }: { boatId: string }) {
  useFollow(boatId, null);
  return null;
}
