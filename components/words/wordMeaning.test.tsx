import { act, fireEvent, render, screen } from '@testing-library/react';
import { GLOSSARY } from '../../words/glossary';
import { DRAWN_TERMS } from './TermDrawing';
import { WordMeaning } from './WordMeaning';

beforeAll(() => {
  // jsdom lays nothing out.
  Range.prototype.getBoundingClientRect = () => ({ left: 20, bottom: 40 }) as DOMRect;
});

const select = async (element: HTMLElement): Promise<void> => {
  document.getSelection()?.selectAllChildren(element);
  fireEvent(document, new Event('selectionchange'));
  await act(() => new Promise((resume) => setTimeout(resume, 400)));
};

test('a word of the trade that is selected says what it means, until the selection goes; other words say nothing', async () => {
  render(
    <>
      <b>creep</b>
      <i>banana</i>
      <WordMeaning />
    </>,
  );
  expect(screen.getByRole('status')).toBeEmptyDOMElement();
  await select(screen.getByText('creep'));
  expect(screen.getByRole('status')).toHaveTextContent('creep. Line that slips out under a steady pull');
  fireEvent.keyDown(document, { key: 'Escape' });
  expect(screen.getByRole('status')).toBeEmptyDOMElement();
  await select(screen.getByText('banana'));
  expect(screen.getByRole('status')).toBeEmptyDOMElement();
});

it('draws a term whose place is easier seen than said, each of them a word of the glossary', async () => {
  render(
    <>
      <b>arbor</b>
      <i>stale</i>
      <WordMeaning />
    </>,
  );
  await select(screen.getByText('arbor'));
  expect(screen.getByTestId('term-arbor')).toHaveAttribute('aria-hidden');
  await select(screen.getByText('stale'));
  expect(screen.queryByTestId(/^term-/)).toBeNull();
  const terms = GLOSSARY.map(({ term }) => term);
  expect(DRAWN_TERMS.filter((term) => !terms.includes(term))).toEqual([]);
});
