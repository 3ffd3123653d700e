import { seededRandom } from '../../instruments/random';
import {
  BEGIN,
  nextMove,
  stagesOf,
  takeStroke,
  whereWasI,
  type CadenceState,
  type Stage,
  type Stroke,
} from './cadence';
import { schoolsOf } from './schools';

const SCHOOLS = schoolsOf('plaited-braid-to-leader');
const STROKES: readonly Stroke[] = ['over', 'under', 'hitch', 'seat', 'trim'];

/** A legal way through a school, chosen by chance among the counts that it allows. */
function legal(stages: readonly Stage[], random: () => number): readonly Stroke[] {
  const strokes: Stroke[] = [];
  let side: 'over' | 'under' = random() < 0.5 ? 'over' : 'under';
  for (const stage of stages) {
    const count = stage.least + Math.floor((stage.most - stage.least + 1) * random());
    for (let k = 0; k < count; k += 1) {
      strokes.push(stage.stroke === 'plait' ? side : stage.stroke);
      if (stage.stroke === 'plait') side = side === 'over' ? 'under' : 'over';
    }
  }
  return strokes;
}

function run(stages: readonly Stage[], strokes: readonly Stroke[]) {
  let state: CadenceState = BEGIN;
  const faults: number[] = [];
  strokes.forEach((stroke, index) => {
    const result = takeStroke(stages, state, stroke);
    state = result.state;
    if (result.fault) faults.push(index);
  });
  return { state, faults };
}

describe.each(SCHOOLS.map((school) => [school.id, stagesOf(school)] as const))('the cadence of %s', (_, stages) => {
  it('has a seating pull and ends the plait before it', () => {
    const order = stages.map((stage) => stage.stroke);
    expect(order[0]).toBe('plait');
    expect(order).toContain('seat');
    expect(order.lastIndexOf('plait')).toBeLessThan(order.indexOf('seat'));
  });

  it('accepts every legal sequence', () => {
    const random = seededRandom(12);
    for (let trial = 0; trial < 200; trial += 1) {
      const strokes = legal(stages, random);
      const { state, faults } = run(stages, strokes);
      expect(faults).toEqual([]);
      // Short of the most hitches, a last stage may still be open; nothing is missing from it.
      const open = stages[state.stage];
      expect(open === undefined || (state.stage === stages.length - 1 && state.done >= open.least)).toBe(true);
      expect(state.errors).toBe(0);
    }
  });

  it('flags every single mistake at its very stroke, and goes on as if it had not been made', () => {
    const random = seededRandom(31);
    for (let trial = 0; trial < 60; trial += 1) {
      const strokes = legal(stages, random);
      const at = Math.floor(random() * strokes.length);
      let before: CadenceState = BEGIN;
      for (const stroke of strokes.slice(0, at)) before = takeStroke(stages, before, stroke).state;
      const { allowed } = nextMove(stages, before);
      for (const stroke of STROKES.filter((candidate) => !allowed.includes(candidate))) {
        const { faults } = run(stages, [...strokes.slice(0, at), stroke, ...strokes.slice(at)]);
        expect(faults).toEqual([at]);
      }
    }
  });

  it('says what to do next at every stroke', () => {
    let state: CadenceState = BEGIN;
    for (const stroke of legal(stages, seededRandom(2))) {
      const move = nextMove(stages, state);
      expect(move.allowed).toContain(stroke);
      expect(move.number).toBeGreaterThan(0);
      state = takeStroke(stages, state, stroke).state;
    }
  });
});

describe('a mistake', () => {
  const [school] = SCHOOLS;
  const stages = school ? stagesOf(school) : [];

  it('on the same side is named, with how to recover', () => {
    const first = takeStroke(stages, BEGIN, 'over');
    const second = takeStroke(stages, first.state, 'over');
    expect(second.fault).toMatchObject({ reason: 'same-side', recover: { act: 'lift-off', side: 'under' } });
    expect(second.state).toMatchObject({ done: 1, errors: 1, strokes: 2 });
  });

  it('of pulling or trimming too early names what is missing', () => {
    expect(takeStroke(stages, BEGIN, 'seat').fault).toMatchObject({
      why: { reason: 'stroke-too-early', figures: { missing: 20, stroke: 'plait' } },
    });
    expect(takeStroke(stages, BEGIN, 'trim').fault?.reason).toBe('too-early');
  });

  it('after the end is told that it is done', () => {
    const { state } = run(
      stages,
      legal(
        stages.map((s) => ({ ...s, least: s.most })),
        seededRandom(1),
      ),
    );
    expect(nextMove(stages, state).stage).toBeNull();
    expect(takeStroke(stages, state, 'trim').fault?.reason).toBe('finished');
  });
});

describe('where was I', () => {
  it('is mirrored for the left hand', () => {
    expect(whereWasI('towards me', 'right')).toBe('under');
    expect(whereWasI('away from me', 'right')).toBe('over');
    expect(whereWasI('towards me', 'left')).toBe('over');
    expect(whereWasI('away from me', 'left')).toBe('under');
  });
});
