import { guessedLengthPerTurnM } from './guessedConstant';

it('takes a counter to be true near a full spool, and a roller at its word', () => {
  // A spool of 60 mm takes 188 mm of line at the rim: a counter that is true nearly full says less.
  const guess = guessedLengthPerTurnM('spool', 0.06);
  expect(guess).toBeGreaterThan(0.155);
  expect(guess).toBeLessThan(0.188);
  expect(guessedLengthPerTurnM('roller', 0.06)).toBe(1);
  expect(() => guessedLengthPerTurnM('spool', 0)).toThrow(/guessedLengthPerTurnM/);
});
