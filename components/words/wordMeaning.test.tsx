import { act, fireEvent, render, screen } from '@testing-library/react';
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
