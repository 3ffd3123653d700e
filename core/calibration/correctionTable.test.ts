import { believedLoad, walkOf } from '../../tests/believedLoad';
import { ERRORS } from '../measurement/errors';
import { PLUS_MINUS_SDS } from '../numerics/propagate';
import { buildLoadedLine } from '../spool/loadedLine';
import { correctionTable } from './correctionTable';
import { estimateCounter } from './estimateCounter';
import { layerStepSd } from './observations';
import { payoutPlusMinus } from './payoutPlusMinus';

const line = () =>
  buildLoadedLine({ arborDiameterM: 0.032, widthM: 0.029 }, [
    { id: 'nylon', name: 'nylon', lengthM: 220, lineDiameterM: 0.0004, packing: 0.68, wound: true },
  ]);
/** A load of which all is known: only layers and the whole count are left. */
function sure(drive: 'spool' | 'roller') {
  const load = line();
  const believed = believedLoad(load, { areaRelativeSd: 1e-9, lengthRelativeSd: 1e-9 });
  const exact = <T extends { value: number; sd: number }>(each: T): T => ({ ...each, sd: 1e-12 * each.value });
  return estimateCounter(
    {
      ...believed,
      ...{ arborDiameterM: exact(believed.arborDiameterM), widthM: exact(believed.widthM) },
      ...{ constantM: exact(believed.constantM), counter: { ...believed.counter, drive } },
    },
    [],
  );
}

describe('the ± of a reading', () => {
  it('has the steps of layers on a spool, and none over a roller', () => {
    const [table] = [correctionTable(sure('spool'), [3])];
    const [spool] = table;
    const [roller] = correctionTable(sure('roller'), [3]);
    const ownSd = (plusMinus = NaN): number => plusMinus / PLUS_MINUS_SDS;
    // Slip and packing with depth stay open on both: what is left of the difference is the steps of layers.
    expect(ownSd(spool?.plusMinus) ** 2).toBeGreaterThan(
      ERRORS.wholeCount.sd ** 2 + ((spool?.value ?? 0) * layerStepSd(3)) ** 2 - 1e-9,
    );
    expect(ownSd(roller?.plusMinus) ** 2).toBeLessThan(
      ERRORS.wholeCount.sd ** 2 + ((roller?.value ?? 0) * ERRORS.rollerSlipShare.sd * 1.5) ** 2,
    );
    expect(spool?.mainlyFrom).not.toBeNull();
  });

  it('is no less for a card of paid-out line, and without steps over a roller', () => {
    const of = (drive: 'spool' | 'roller') => payoutPlusMinus(sure(drive), [3])[0];
    expect(of('spool')?.reading).toBeGreaterThan(of('roller')?.reading ?? Infinity);
  });

  it('shrinks with a walk at that very length', () => {
    const [before] = correctionTable(estimateCounter(believedLoad(line()), []), [30.48]);
    const [after] = correctionTable(estimateCounter(believedLoad(line()), [walkOf(99)]), [30.48]);
    expect(after?.plusMinus).toBeLessThan((before?.plusMinus ?? 0) / 4);
  });
});
