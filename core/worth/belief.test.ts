import { covarianceAfter, noiseThatLeaves, sdAfter, sdOfBelief, withTails, type Belief } from './belief';

describe('a belief, and what a reading would leave of it', () => {
  it('of one unknown is the precision of both together', () => {
    // Textbook: 1/σ² adds (Raiffa and Schlaifer 1961): 4 and 3 give 2.4.
    const belief: Belief = { slopes: [1], covariance: [[16]], ownVariance: 0 };
    expect(sdOfBelief(belief)).toBe(4);
    expect(sdAfter(belief, { slopes: [1], noiseVariance: 9 })).toBeCloseTo(2.4, 12);
  });

  it('leaves what no measurement takes away, and what the reading says nothing of', () => {
    const belief: Belief = {
      slopes: [2, 1],
      covariance: [
        [4, 0],
        [0, 9],
      ],
      ownVariance: 1,
    };
    expect(sdOfBelief(belief)).toBeCloseTo(Math.sqrt(16 + 9 + 1), 12);
    expect(sdAfter(belief, { slopes: [1, 0], noiseVariance: 1e-12 })).toBeCloseTo(Math.sqrt(10), 6);
    expect(sdAfter(belief, { slopes: [0, 0], noiseVariance: 1 })).toBeCloseTo(sdOfBelief(belief), 12);
    expect(sdAfter(belief, { slopes: [1, 0], noiseVariance: Infinity })).toBeCloseTo(sdOfBelief(belief), 12);
  });

  it('follows what goes together: the same by one reading as by the covariance after it', () => {
    const belief: Belief = {
      slopes: [1, -1, 0.5],
      covariance: [
        [4, 1.5, 0.3],
        [1.5, 9, -2],
        [0.3, -2, 3],
      ],
      ownVariance: 0.2,
    };
    const reading = { slopes: [0.2, 1, 0.4], noiseVariance: 0.7 };
    const after = { ...belief, covariance: covarianceAfter(belief.covariance, reading) };
    expect(sdOfBelief(after)).toBeCloseTo(sdAfter(belief, reading), 12);
    // In what order two readings come does not matter.
    const other = { slopes: [1, 0, 1], noiseVariance: 0.1 };
    const one = covarianceAfter(covarianceAfter(belief.covariance, reading), other);
    const two = covarianceAfter(covarianceAfter(belief.covariance, other), reading);
    one.forEach((row, i) => row.forEach((each, j) => expect(each).toBeCloseTo(two[i]?.[j] ?? NaN, 12)));
  });

  it('knows the noise of what takes the place of a belief', () => {
    const noise = noiseThatLeaves(16, 5.76);
    expect(noise).toBeCloseTo(9, 12);
    expect(
      sdAfter({ slopes: [1], covariance: [[16]], ownVariance: 0 }, { slopes: [1], noiseVariance: noise }),
    ).toBeCloseTo(2.4, 12);
    expect(noiseThatLeaves(4, 4)).toBe(Infinity);
    expect(noiseThatLeaves(4, 5)).toBe(Infinity);
  });

  it('pays for tails by Fisher’s information of a Student t', () => {
    // (ν + 1)/(ν + 3): 9/11 at eight degrees of freedom (Lange, Little and Taylor 1989).
    expect(1 / withTails(1, 8)).toBeCloseTo(9 / 11, 12);
    expect(withTails(2, 1e9)).toBeCloseTo(2, 6);
  });
});
