import type { Medium } from './medium';

/** How a fluid pulls at a line: by constants, or by the Reynolds number across it. */
export const LINE_DRAG_LAWS = ['constant', 'reynolds'] as const;
export type LineDragLaw = (typeof LINE_DRAG_LAWS)[number];

/** The law with its figures; cn and ct count under constants alone. */
export interface LineDragBy {
  readonly law: LineDragLaw;
  /** Across the line, and along it (on its skin). */
  readonly cn: number;
  readonly ct: number;
  /** A line that hums has more drag across it: a factor on the normal force of wet line, under both laws. */
  readonly humFactor: number;
}

/** Constants of cylinder and skin as towing handbooks have them (from memory). */
export const USUAL_DRAG = { cn: 1.2, ct: 0.01 } as const;

/** Re between which one branch of the law gives way to the next, evenly in ln Re: jumps would make a slow line chatter. */
const CREEPING = { from: 0.5, to: 1 } as const;
const WAKE = { from: 30, to: 60 } as const;

const creeping = (re: number): number => {
  const sigma = -0.077215665 + Math.log(8 / re);
  return ((8 * Math.PI) / (re * sigma)) * (1 - 0.87 / sigma ** 2);
};
const slow = (ln: number): number => 1.45 + 8.55 * Math.exp(-0.9 * ln);
const wake = (re: number): number => 1.1 + 4 / Math.sqrt(re);

function blended(ln: number, over: { readonly from: number; readonly to: number }, low: number, high: number): number {
  const share = (ln - Math.log(over.from)) / Math.log(over.to / over.from);
  return low + share * (high - low);
}

/**
 * Drag coefficient of a smooth cylinder across the flow (Choo and Casarella 1971, from memory), its branches blended where they meet.
 * Within 7 % of handbook cylinders below Re 400; up to 32 % high about Re 1,600.
 *
 * @param re speed across the line × its thickness ÷ kinematic viscosity, above 0
 * @param ln its logarithm, where it is at hand: this is asked at every step of a solution
 */
export function cylinderDrag(re: number, ln = Math.log(re)): number {
  if (re >= WAKE.to) return wake(re);
  if (re > WAKE.from) return blended(ln, WAKE, slow(ln), wake(re));
  if (re >= CREEPING.to) return slow(ln);
  if (re > CREEPING.from) return blended(ln, CREEPING, creeping(re), slow(ln));
  return creeping(re);
}

/** Forces on a metre of line at an angle: across it, and along it towards the lure's end (N/m); signs as the speed's. */
export interface LineForces {
  across: number;
  along: number;
}

/**
 * What a fluid does to a metre of line that is towed level through it.
 *
 * @param diameterM thickness of the line (m)
 * @param speedMS through the fluid (m/s), 0 or more
 * @param by the law; its hum is of wet line alone: give 1 in air
 * @returns sine and cosine of the line's angle from the horizontal → forces, written to one object that is used again, as this is
 * asked at every step of a solution
 */
export function lineDrag(
  diameterM: number,
  speedMS: number,
  { densityKgM3, kinematicViscosityM2S }: Medium,
  { law, cn, ct, humFactor }: LineDragBy,
): (sine: number, cosine: number) => LineForces {
  const out: LineForces = { across: 0, along: 0 };
  const perSpeed2 = 0.5 * densityKgM3 * diameterM;
  if (law === 'constant') {
    const across = perSpeed2 * cn * humFactor * speedMS ** 2;
    const along = perSpeed2 * Math.PI * ct * speedMS ** 2;
    return (sine, cosine) => {
      out.across = across * sine * Math.abs(sine);
      out.along = along * cosine * Math.abs(cosine);
      return out;
    };
  }
  const rePerSpeed = diameterM / kinematicViscosityM2S;
  const viscous = Math.PI * densityKgM3 * kinematicViscosityM2S;
  return (sine, cosine) => {
    const across = speedMS * sine;
    const along = speedMS * cosine;
    const re = Math.abs(across) * rePerSpeed;
    const ln = Math.log(re);
    out.across = re > 0 ? perSpeed2 * humFactor * cylinderDrag(re, ln) * across * Math.abs(across) : 0;
    const skin = viscous * (0.55 * Math.sqrt(re) + 0.084 * Math.exp((2 / 3) * ln)) * Math.abs(along);
    const rough = perSpeed2 * Math.PI * 0.005 * along * along;
    const most = skin > rough ? skin : rough;
    out.along = along < 0 ? -most : most;
    return out;
  };
}
