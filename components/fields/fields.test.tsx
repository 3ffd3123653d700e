import { WordsProvider } from '@/components/units/WordsProvider';
import { fireEvent, render, screen } from '@testing-library/react';
import { UnitsProvider } from '../units/UnitsProvider';
import { UnitSwitch } from '../shell/UnitSwitch';
import { QuantityField, useQuantity } from './QuantityField';

const METRIC = { length: 'm', smallLength: 'mm', force: 'kg' } as const;
const LIMITS = { min: 0.05, max: 5000 };

function Probe({ initialM }: { initialM: number | null }) {
  const length = useQuantity('probe', 'length', initialM, LIMITS);
  return (
    <>
      <QuantityField label="Length" {...length.field} />
      <output>{length.value === null ? 'none' : length.value.toFixed(4)}</output>
      <button type="button" onClick={length.forget}>
        forget
      </button>
    </>
  );
}

function show(initialM: number | null) {
  return render(
    <UnitsProvider initial={METRIC}>
      <WordsProvider>
        <UnitSwitch />
        <Probe initialM={initialM} />
      </WordsProvider>
    </UnitsProvider>,
  );
}

const field = (): HTMLInputElement => screen.getByLabelText('Length');
const type = (text: string): void => void fireEvent.change(field(), { target: { value: text } });

beforeEach(() => window.localStorage.clear());

describe('a quantity field', () => {
  it('hands up SI, whatever unit is typed', () => {
    show(null);
    type('100 ft');
    expect(screen.getByText('30.4800')).toBeInTheDocument();
    type('45');
    expect(screen.getByText('45.0000')).toBeInTheDocument();
  });

  it('says in a sentence what is wrong and keeps what was typed', () => {
    show(null);
    type('forty');
    expect(screen.getByRole('alert')).toHaveTextContent('"forty" is not a number with a unit');
    expect(field()).toBeInvalid();
    expect(field().value).toBe('forty');
    expect(screen.getByText('none')).toBeInTheDocument();
  });

  it('rewrites what stands there when units switch', () => {
    show(30.48);
    expect(field().value).toBe('30.48');
    fireEvent.click(screen.getByRole('radio', { name: 'ft' }));
    expect(field().value).toBe('100');
    expect(document.cookie).toContain('units=ft.mm.kg');
  });

  it('brings a draft back after a reload, until it is forgotten', () => {
    const first = show(10);
    type('12,5');
    first.unmount();
    show(10);
    expect(field().value).toBe('12,5');
    expect(screen.getByText('12.5000')).toBeInTheDocument();
    fireEvent.click(screen.getByText('forget'));
    expect(field().value).toBe('10');
  });

  it('is not thrown by a draft that is none', () => {
    window.localStorage.setItem('draft:probe', '{broken');
    show(10);
    expect(field().value).toBe('10');
  });
});
