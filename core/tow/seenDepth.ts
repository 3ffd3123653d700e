/** A depth that was seen with a length out at a speed: the bottom touched, a mark on the sonar, a strike where the depth was known. */
export interface SeenDepth {
  readonly id: string;
  readonly lengthOutM: number;
  readonly lengthSdM: number;
  readonly speedMS: number;
  readonly depthM: number;
  readonly depthSdM: number;
}

/** Depth that is seen on a sounder or with a touch of bottom, to so much (m), and to that share of itself. */
const SEEN_SD = { m: 0.3, share: 0.02 } as const;

/** What a depth that was seen is off by (m, an SD). From memory. */
export const seenSdM = (depthM: number): number => Math.hypot(SEEN_SD.m, SEEN_SD.share * depthM);
