import { describe, expect, it } from '@jest/globals';
import { signal } from '@angular/core';
import { fireEvent, render, screen, within } from '@testing-library/angular';
import { Device } from '../device/device';
import { JobDesk } from '../job/job-desk';
import { ConflictBox } from './conflict-box';

const conflict = (id: string, label: string): object => ({
  pending: { change: { id }, label },
  conflicts: [{ field: 'value_nm', yours: 890_000_000, theirs: 880_000_000, who: 'Finch' }],
});

async function drawn(conflicts: readonly object[], units: 'metric' | 'imperial' = 'metric') {
  const decided: string[] = [];
  await render(ConflictBox, {
    providers: [
      {
        provide: JobDesk,
        useValue: {
          state: signal({ conflicts }),
          decide: ({ pending }: { pending: { change: { id: string } } }, whose: string) =>
            decided.push(`${pending.change.id} ${whose}`),
        },
      },
    ],
    configureTestBed: (bed) => {
      bed.inject(Device).showIn(units);
    },
  });
  return decided;
}

describe('how is one asked about what somebody else changed too?', () => {
  it('both values stand side by side, in the units of the person, with the name; nothing is chosen by itself', async () => {
    const decided = await drawn([conflict('C1', 'SW1: width')], 'imperial');
    const box = screen.getByRole('alertdialog', { name: 'Finch changed this too' });
    const cells = within(box)
      .getAllByRole('cell')
      .map(({ textContent }) => textContent);
    expect(cells).toEqual(['35 1/16 in', '34 5/8 in']);
    expect(decided).toEqual([]);
    fireEvent.click(within(box).getByRole('button', { name: 'Use mine' }));
    expect(decided).toEqual(['C1 mine']);
  });
  it('several are one list, decided one by one or all at once', async () => {
    const decided = await drawn([conflict('C1', 'SW1: width'), conflict('C2', 'SW2: width')]);
    expect(screen.getByRole('alertdialog', { name: '2 things were changed by others too' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Keep theirs for all 2' }));
    expect(decided).toEqual(['C1 theirs', 'C2 theirs']);
  });
  it('nothing to ask: nothing is there', async () => {
    await drawn([]);
    expect(screen.queryByRole('alertdialog')).toBeNull();
  });
});
