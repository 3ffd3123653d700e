import { plannedRig } from '../../../tests/rigFixture';
import { convertedRecipe, countsOf, isRecipeDraft, NEW_RECIPE, withRecipe, type RecipeDraft } from './recipeDraft';
import { draftOf } from './stackDraft';

const rig = plannedRig();
const draft = draftOf(rig);
const recipe = (change: Partial<RecipeDraft>): RecipeDraft => ({ ...NEW_RECIPE, ...change });

describe('somebody’s recipe', () => {
  it('reads counts, and tells nothing from nonsense', () => {
    const typed = recipe({ counts: { a: '530', b: '', c: 'many', d: '0' } });
    expect(['a', 'b', 'c', 'd', 'e'].map((id) => countsOf(typed, id))).toEqual([530, null, undefined, undefined, null]);
    expect(isRecipeDraft(JSON.parse(JSON.stringify(typed)))).toBe(true);
    expect(isRecipeDraft({ size: 'middle' })).toBe(false);
  });

  it('waits until every segment has a count or a length', () => {
    expect(convertedRecipe(rig, draft, recipe({}))).toBeNull();
    expect(convertedRecipe(rig, draft, recipe({ counts: { s0: 'many' } }))).toBeNull();
    expect(convertedRecipe(rig, draft, recipe({ size: 'measured', counts: { s0: '400' } }))).toBeNull();
  });

  it('turns counts into less true line, with a wide ± for a guessed reel and a narrow one for a measured reel', () => {
    const guessed = convertedRecipe(rig, draft, recipe({ counts: { s0: '400' } }));
    const mm = (text: string) => ({ text, unit: 'mm' });
    const measured = convertedRecipe(
      rig,
      draft,
      recipe({ size: 'measured', full: mm('58'), arbor: mm('30'), width: mm('28'), counts: { s0: '400' } }),
    );
    const backing = guessed?.[0]?.trueLengthM;
    // 400 counts of a foot are 122 m on a full spool; deep in it they are less.
    expect(backing?.value).toBeLessThan(110);
    expect(backing?.value).toBeGreaterThan(60);
    expect(measured?.[0]?.trueLengthM.plusMinus).toBeLessThan(backing?.plusMinus ?? NaN);
    expect(guessed?.[1]?.trueLengthM).toMatchObject({ value: 27.432, plusMinus: 0 });
    const taken = withRecipe(draft, guessed ?? []);
    expect(taken.rows[0]).toMatchObject({ solved: false, typed: null });
    expect(taken.rows[0]?.lengthM).toBeCloseTo(backing?.value ?? NaN, 0);
  });
});
