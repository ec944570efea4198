import { describe, expect, it } from '@jest/globals';
import { signal } from '@angular/core';
import { fireEvent, render, screen } from '@testing-library/angular';
import { People } from '../catalogue/people';
import { WhoseHand } from '../device/whose-hand';
import { NameAsk } from './name-ask';

async function drawn(): Promise<string[]> {
  const said: string[] = [];
  const linnet = { id: 'L', name: 'Linnet' };
  await render(NameAsk, {
    providers: [
      {
        provide: WhoseHand,
        useValue: {
          say: (who: string, id?: string) => said.push(`${who} ${id ?? 'new'}`),
          notNow: () => said.push('not now'),
        },
      },
      {
        provide: People,
        useValue: {
          active: signal([linnet]),
          named: (name: string) => (name.toLowerCase() === 'linnet' ? linnet : undefined),
        },
      },
    ],
  });
  return said;
}
const keep = (): void => {
  fireEvent.click(screen.getByRole('button', { name: 'Keep it' }));
};

describe('how does one say who one is?', () => {
  it('by typing; nothing typed is asked for again', async () => {
    const said = await drawn();
    keep();
    expect(await screen.findByText('Type a name of at least one letter.')).toBeTruthy();
    fireEvent.input(screen.getByLabelText('Name'), { target: { value: ' Finch ' } });
    keep();
    expect(said).toEqual(['Finch new']);
  });
  it('by choosing; the same name typed is the same person', async () => {
    const said = await drawn();
    fireEvent.input(screen.getByLabelText('Name'), { target: { value: 'linnet' } });
    keep();
    fireEvent.click(screen.getByRole('button', { name: 'Linnet' }));
    expect(said).toEqual(['linnet L', 'Linnet L']);
  });
  it('not now', async () => {
    const said = await drawn();
    fireEvent.click(screen.getByRole('button', { name: 'Not now' }));
    expect(said).toEqual(['not now']);
  });
});
