import { PLUS_MINUS_SDS } from '../../../core/numerics/propagate';

/** Errors against their ±. */
export class Tally {
  private readonly inTheirSds: number[] = [];
  private covered = 0;

  add(error: number, plusMinus: number): void {
    this.inTheirSds.push((PLUS_MINUS_SDS * error) / plusMinus);
    if (Math.abs(error) <= plusMinus) this.covered += 1;
  }

  /** Share covered, and how wide the errors scatter in the SDs that they were given: 1 where those are right. */
  get text(): string {
    const { length } = this.inTheirSds;
    const rms = Math.sqrt(this.inTheirSds.reduce((sum, each) => sum + each ** 2, 0) / length);
    const mean = this.inTheirSds.reduce((sum, each) => sum + each, 0) / length;
    return `${percent(this.covered, length)} (errors ${mean.toFixed(2)} ± ${rms.toFixed(2)} of their SDs)`;
  }
}

export const percent = (part: number, of: number): string => `${((100 * part) / of).toFixed(1)} %`;
