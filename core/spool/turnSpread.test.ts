import { layReel } from '../../instruments/virtual/layReel';
import { buildLoadedLine, spoolStateAt } from './loadedLine';
import { turnSpreadSd } from './turnSpread';

describe('how single turns lie about the smooth spool', () => {
  const lineDiameterM = 0.0004;
  const line = buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    { id: 'nylon', name: 'nylon', lengthM: 240, lineDiameterM, packing: 0.68, wound: true },
  ]);

  it('is what the turns of a reel laid one by one scatter by, within a third', () => {
    const truth = {
      ...{ arborDiameterM: 0.032, widthM: 0.029, rimDiameterM: 0.066, lengthPerTurnM: 0.18, unitM: 0.3048, digits: 4 },
      ...{ rounds: true, pitchM: 0.029 / 25, pitchRelativeSd: 0.03, crown: 0.02, packingRelativeSd: 0.03, seed: 4 },
    };
    const { laid } = layReel(truth, [{ lengthM: 240, lineDiameterM, packing: 0.68, strain: 0 }]);
    // Turns of the outer third of the line, against the smooth spool with as much out.
    let outM = 0;
    const offs: number[] = [];
    for (const turn of laid.toReversed()) {
      if (outM > 80) break;
      if (outM > 2) offs.push(turn.lengthM / turn.turns / Math.PI / spoolStateAt(line, outM).diameterM);
      outM += turn.lengthM;
    }
    const mean = offs.reduce((sum, each) => sum + each, 0) / offs.length;
    const sd = Math.sqrt(offs.reduce((sum, each) => sum + (each / mean - 1) ** 2, 0) / (offs.length - 1));
    const told = turnSpreadSd(line, 40);
    expect(sd / told).toBeGreaterThan(2 / 3);
    expect(sd / told).toBeLessThan(4 / 3);
  });

  it('is the layer alone at the arbor, where nothing is crowned yet', () => {
    expect(turnSpreadSd(line, 239.9)).toBeCloseTo(lineDiameterM / 0.032 / Math.sqrt(3), 3);
  });
});
