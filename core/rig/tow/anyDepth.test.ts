import { anyRig } from '../../../tests/anyRig';
import { answerDepth, depthCurves } from '../../tow/answerDepth';
import { rigView } from '../view/rigView';
import { towedRig } from './towedRig';

/** Rigs of anything that the requests let through: absurd ones among them. */
const RIGS = 24;

test('any rig in tow has an answer, and no figure of it is none', () => {
  let answered = 0;
  for (let seed = 1; seed <= RIGS; seed += 1) {
    const view = rigView(anyRig(seed));
    if (!view) continue;
    const rig = towedRig(view);
    const { belief, marks, speedMS, mostM, rangeM } = rig;
    const lengthsM = [0.25, 0.5, 1].map((share) => share * mostM);
    const question = { rig: view.record, belief, marks, speedMS, lengthsM, goal: null, usualM: rangeM.toM, mostM };
    const answer = answerDepth(question);
    const curves = depthCurves(question, answer);
    for (const { value, plusMinus } of [...curves.along, curves.unlearned]) {
      expect(Number.isFinite(value)).toBe(true);
      expect(plusMinus).toBeGreaterThanOrEqual(0);
    }
    if (answer.stop.ok) {
      expect(answer.stop.value.lengthOutM).toBeLessThanOrEqual(mostM + 1e-6);
      expect(Number.isFinite(answer.stop.value.perTenthKnotM)).toBe(true);
    }
    answered += 1;
  }
  expect(answered).toBeGreaterThan(RIGS / 3);
});
