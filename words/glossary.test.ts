import { GLOSSARY, meaningOf } from './glossary';

describe('the glossary', () => {
  test('has some sixty words, each once in all its forms, in the order of the alphabet', () => {
    expect(GLOSSARY.length).toBeGreaterThanOrEqual(60);
    const forms = GLOSSARY.flatMap(({ term, also }) => [term, ...(also ?? [])]).map((form) => form.toLowerCase());
    expect(new Set(forms).size).toBe(forms.length);
    const terms = GLOSSARY.map(({ term }) => term).filter((term) => /^[a-z]/.test(term));
    expect(terms).toEqual(terms.toSorted((a, b) => a.localeCompare(b, 'en')));
  });

  test('says each in a line, without the word itself as its first', () => {
    for (const { term, meaning } of GLOSSARY) {
      expect(meaning.length).toBeLessThanOrEqual(125);
      expect(meaning.endsWith('.')).toBe(true);
      expect(meaning.toLowerCase().startsWith(term)).toBe(false);
    }
  });

  test.each([
    ['Creep', 'creep'],
    ['  top   shot ', 'top shot'],
    ['readings', 'reading'],
    ['flanges,', 'flange'],
    ['presets', 'preset'],
    ['preset.', 'preset'],
    ['banana', null],
  ])('finds %j', (asked, term) => expect(meaningOf(asked)?.term ?? null).toBe(term));
});
