import { render, screen } from '@testing-library/react';
import { renderToString } from 'react-dom/server';
import { TextField } from '../fields/TextField';
import { Button } from '../ui/Button';
import { Awake } from './Awake';

const page = (
  <Awake>
    <Button>Note it</Button>
    <TextField label="Counter shows" value="" onChange={() => undefined} />
  </Awake>
);

describe('controls of a page', () => {
  it('sleep as the server sends them, and wake when the page answers', () => {
    const sent = document.createElement('div');
    sent.innerHTML = renderToString(page);
    for (const control of sent.querySelectorAll('button, input')) expect(control.matches(':disabled')).toBe(true);
    render(page);
    expect(screen.getByRole('button', { name: 'Note it' })).toBeEnabled();
    expect(screen.getByLabelText('Counter shows')).toBeEnabled();
  });
});
