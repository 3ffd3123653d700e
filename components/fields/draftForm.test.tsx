import { act, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { UnitsProvider } from '../units/UnitsProvider';
import { WordsProvider } from '../units/WordsProvider';
import { FormCheck, FormChoice, FormQuantity, FormText } from './FormParts';
import { check, choice, neededQuantity, number, quantity, words } from './specs';
import { useDraftForm } from './useDraftForm';

type Save = (values: object) => Promise<{ ok: boolean; fields?: Readonly<Record<string, string>> }>;

function ReelForm({
  save,
  draftKey = 'reel',
  last = '',
  untouched,
}: {
  save: Save;
  draftKey?: string;
  last?: string;
  untouched?: 'stay' | 'follow';
}) {
  const form = useDraftForm(
    draftKey,
    {
      name: words(`Counter reel${last}`),
      drag: choice(['star', 'lever'], 'star'),
      arborM: neededQuantity('smallLength', { min: 0.003, max: 0.4 }),
      dragLimitN: quantity('force', { min: 1, max: 5000 }, 88.2598),
      digits: number({ min: 2, max: 6 }, 3),
      counter: check(true),
      instrument: words('read by eye'),
    },
    last,
    untouched,
  );
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void form.submit(save, { 'reel.arborDiameterM': 'arborM' });
      }}
    >
      <FormText form={form} name="name" label="Name" />
      <FormChoice
        form={form}
        name="drag"
        label="Drag"
        options={[
          { value: 'star', text: 'star' },
          { value: 'lever', text: 'lever' },
        ]}
      />
      <FormQuantity form={form} name="arborM" label="Arbor" />
      <FormQuantity form={form} name="dragLimitN" label="Drag limit" />
      <FormText form={form} name="digits" label="Digits" inputMode="numeric" />
      <FormCheck form={form} name="counter" label="has a counter" />
      <button type="button" onClick={() => form.set('instrument', 'virtual caliper')}>
        Measure
      </button>
      <output>{JSON.stringify(form.value('dragLimitN'))}</output>
      <button>Store</button>
    </form>
  );
}

const withWords = (form: React.ReactNode) => (
  <UnitsProvider initial={{ length: 'm', smallLength: 'mm', force: 'kg' }}>
    <WordsProvider>{form}</WordsProvider>
  </UnitsProvider>
);

const show = (save: Save = () => Promise.resolve({ ok: true })) => render(withWords(<ReelForm save={save} />));

const type = (label: string, value: string): void =>
  void fireEvent.change(screen.getByLabelText(label), { target: { value } });
const store = (): Promise<void> =>
  act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Store' }));
    await Promise.resolve();
  });

beforeEach(() => window.localStorage.clear());

describe('a form', () => {
  it('saves nothing while a field cannot be read, says so, and takes the focus there', async () => {
    const save = jest.fn<ReturnType<Save>, [object]>(() => Promise.resolve({ ok: true }));
    show(save);
    type('Arbor', '31');
    type('Drag limit', 'ten');
    await store();
    expect(save).not.toHaveBeenCalled();
    expect(screen.getByRole('alert')).toHaveTextContent('"ten" is not a number with a unit');
    await waitFor(() => expect(screen.getByLabelText('Drag limit')).toHaveFocus());
    type('Drag limit', '10');
    await waitFor(() => expect(screen.queryByRole('alert')).not.toBeInTheDocument());
    type('Digits', 'three');
    await store();
    expect(save).not.toHaveBeenCalled();
    await waitFor(() => expect(screen.getByLabelText('Digits')).toHaveFocus());
    type('Digits', '4');
    await store();
    expect(save).toHaveBeenCalledWith(
      expect.objectContaining({ arborM: 0.031, digits: 4, drag: 'star', counter: true, name: 'Counter reel' }),
    );
  });

  it('asks for what it needs, and takes an empty field for nothing where it does not', async () => {
    const save = jest.fn<ReturnType<Save>, [object]>(() => Promise.resolve({ ok: true }));
    show(save);
    await store();
    // The form library moves the focus in a turn of its own.
    await waitFor(() => expect(screen.getByLabelText('Arbor')).toHaveFocus());
    type('Arbor', '31');
    type('Drag limit', '');
    await store();
    expect(save).toHaveBeenCalledWith(expect.objectContaining({ dragLimitN: null }));
  });

  it('keeps every field over a reload, the instrument too, until it is stored', async () => {
    const first = show();
    type('Name', 'Port reel');
    fireEvent.change(screen.getByLabelText('Drag'), { target: { value: 'lever' } });
    type('Arbor', '31,5');
    type('Drag limit', 'ten');
    fireEvent.click(screen.getByLabelText('has a counter'));
    fireEvent.click(screen.getByRole('button', { name: 'Measure' }));
    first.unmount();
    const save = jest.fn<ReturnType<Save>, [object]>(() => Promise.resolve({ ok: true }));
    show(save);
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveValue('Port reel'));
    expect(screen.getByLabelText('Drag')).toHaveValue('lever');
    expect(screen.getByLabelText('Drag limit')).toHaveValue('ten');
    expect(screen.getByLabelText('has a counter')).not.toBeChecked();
    type('Drag limit', '9');
    await store();
    expect(save).toHaveBeenCalledWith(
      expect.objectContaining({ instrument: 'virtual caliper', arborM: 0.0315, counter: false }),
    );
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveValue('Counter reel'));
    expect(window.localStorage).toHaveLength(0);
  });

  it('keeps what is begun when what stood there at first changes, and follows it while nobody has touched it', async () => {
    const save: Save = () => Promise.resolve({ ok: true });
    const { rerender } = show(save);
    rerender(withWords(<ReelForm save={save} last=" 2" />));
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveValue('Counter reel 2'));
    type('Arbor', '31');
    rerender(withWords(<ReelForm save={save} last=" 3" />));
    expect(screen.getByLabelText('Arbor')).toHaveValue('31');
    expect(screen.getByLabelText('Name')).toHaveValue('Counter reel 2');
    expect(window.localStorage).toHaveLength(1);
  });

  it('of one row changes what was typed alone: what another device stored meanwhile is not put back', async () => {
    const save = jest.fn<ReturnType<Save>, [object]>(() => Promise.resolve({ ok: true }));
    const { rerender } = show(save);
    rerender(withWords(<ReelForm save={save} untouched="follow" />));
    type('Arbor', '31');
    rerender(withWords(<ReelForm save={save} last=" 2" untouched="follow" />));
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveValue('Counter reel 2'));
    expect(screen.getByLabelText('Arbor')).toHaveValue('31');
    // What was typed stays typed when the row changes once more.
    type('Name', 'Port reel');
    rerender(withWords(<ReelForm save={save} last=" 3" untouched="follow" />));
    expect(screen.getByLabelText('Name')).toHaveValue('Port reel');
    await store();
    expect(save).toHaveBeenCalledWith(expect.objectContaining({ name: 'Port reel', arborM: 0.031 }));
  });

  it('keeps what is typed while the one before is on its way', async () => {
    let arrive: (result: { ok: boolean }) => void = () => undefined;
    show(() => new Promise((resolve) => (arrive = resolve)));
    type('Arbor', '31');
    type('Name', 'Port reel');
    await store();
    type('Arbor', '32');
    await act(async () => {
      arrive({ ok: true });
      await Promise.resolve();
    });
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveValue('Counter reel'));
    expect(screen.getByLabelText('Arbor')).toHaveValue('32');
  });

  it('is not thrown by what an older version kept', async () => {
    const old = { name: 7, drag: 'disc', arborM: 'thick', digits: null, counter: 'yes', gone: 1, dragLimitN: null };
    window.localStorage.setItem('form 1:reel', JSON.stringify({ ...old, instrument: 'caliper' }));
    show();
    await waitFor(() => expect(screen.getByLabelText('Name')).toHaveValue('Counter reel'));
    expect(screen.getByLabelText('Drag')).toHaveValue('star');
    expect(screen.getByLabelText('Digits')).toHaveValue('3');
    window.localStorage.setItem('form 1:reel', '{broken');
    show();
    expect(screen.getAllByLabelText('Name')).toHaveLength(2);
  });

  it('shows a refusal at its field, wherever the request has it', async () => {
    const fields = { 'reel.arborDiameterM': 'Deeper than the rim.', 'reel.name': 'Taken.' };
    show(() => Promise.resolve({ ok: false, fields }));
    type('Arbor', '31');
    await store();
    expect(screen.getByText('Deeper than the rim.')).toBeInTheDocument();
    expect(screen.getByText('Taken.')).toBeInTheDocument();
    // The form library moves the focus in a turn of its own.
    await waitFor(() => expect(screen.getByLabelText('Arbor')).toHaveFocus());
    expect(screen.getByLabelText('Arbor')).toHaveValue('31');
  });

  it('reads live what is typed, in the units that show', () => {
    show();
    expect(screen.getByRole('status')).toHaveTextContent('88.2598');
    type('Drag limit', '10 lb');
    expect(Number(screen.getByRole('status').textContent)).toBeCloseTo(44.482, 3);
    type('Drag limit', 'ten');
    expect(screen.getByRole('status')).toHaveTextContent('null');
  });
});
