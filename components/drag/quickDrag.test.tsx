import { fireEvent, render, screen } from '@testing-library/react';
import { UnitsProvider } from '@/components/units/UnitsProvider';
import { WordsProvider } from '@/components/units/WordsProvider';
import { QuickDrag } from './QuickDrag';

const shown = () =>
  render(
    <UnitsProvider initial={{ length: 'ft', smallLength: 'in', force: 'lb' }}>
      <WordsProvider>
        <QuickDrag boatId="boat" />
      </WordsProvider>
    </UnitsProvider>,
  );

beforeEach(() => window.localStorage.clear());

describe('the drag in a hurry', () => {
  it('asks for what the line holds, and says at once what the scale should show, with its ±', () => {
    shown();
    expect(screen.getByText(/Type what the line holds/)).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('The line holds'), { target: { value: '6' } });
    // 6 lb at 25 % is 1.5 lb (common practice, no source).
    expect(screen.getByText(/^1\.50? ± .* lb$/)).toBeInTheDocument();
    expect(screen.getByText(/A knot that keeps 80 %/)).toHaveTextContent(/of it this is 31 %/);
    fireEvent.click(screen.getByRole('button', { name: '30 %' }));
    expect(screen.getByText(/a surge has little room/)).toBeInTheDocument();
  });

  it('leads on to a rig with the line that was told', () => {
    shown();
    fireEvent.change(screen.getByLabelText('The line holds'), { target: { value: '6' } });
    fireEvent.change(screen.getByLabelText('Line'), { target: { value: 'braid' } });
    const link = screen.getByRole('link', { name: /Make it a rig/ });
    expect(link.getAttribute('href')).toMatch(/^\/boats\/boat\/gear\?material=braid&labelN=26\.6/);
  });

  it('keeps to the maker’s limit', () => {
    shown();
    fireEvent.change(screen.getByLabelText('The line holds'), { target: { value: '40' } });
    fireEvent.change(screen.getByLabelText("Maker's drag limit"), { target: { value: '5' } });
    expect(screen.getByText(/held down to the maker's limit/)).toBeInTheDocument();
  });
});
