import { describe, expect, it } from '@jest/globals';
import { signal } from '@angular/core';
import { fireEvent, render, screen, within } from '@testing-library/angular';
import { DayClock } from '@yellow-pane/contracts/day-clock';
import { waitWords } from '@yellow-pane/contracts/words';
import { NEW_DAY } from '@yellow-pane/core/job';
import { primerDry } from '@yellow-pane/core/waiting';
import { Planning } from './planning';
import { WaitsView } from './waits-view';
import { DayCommands } from './day-commands';
import { WarmingUp } from './warming-up';

const WAIT = primerDry('water-based', { air_C: 20, humidity: 0.5 });
const PAINTING = 'application/decor/primer/1';
const END = 600;

async function drawn({ isPlanned = false, isOver = false } = {}): Promise<string[]> {
  const confirmed: string[] = [];
  const settings = { ...NEW_DAY, firstDay: '2026-11-25', days: 2, zone: 'Europe/Zurich' };
  await render(WaitsView, {
    providers: [
      {
        provide: Planning,
        useValue: {
          settings: signal(settings),
          clock: signal(new DayClock(settings)),
          shown: signal(isPlanned ? [{ id: PAINTING, start: 560, end: END, people: [] }] : []),
          surfaces: signal([{ applicationId: 'A', confirmed: new Set(isOver ? ['primer'] : []) }]),
          works: signal(
            new Map([
              [
                PAINTING,
                { id: PAINTING, tag: 'CT1', applicationId: 'A', parts: [{ step: 'primer' }], wait: WAIT },
              ],
            ]),
          ),
        },
      },
      {
        provide: DayCommands,
        useValue: {
          confirmWait: (applicationId: string, step: string) => confirmed.push(`${applicationId} ${step}`),
        },
      },
    ],
    componentProviders: [{ provide: WarmingUp, useValue: { lines: signal([]), from_C: signal(2) } }],
  });
  return confirmed;
}
const wait = (): HTMLElement => screen.getByRole('region', { name: waitWords(WAIT).word });

describe('how is a wait shown?', () => {
  it('with its span, how to feel that it is over, and the formula it opens to', async () => {
    await drawn();
    expect(wait().textContent).toContain(waitWords(WAIT).check);
    expect(wait().textContent).toContain('not planned yet');
    fireEvent.click(within(wait()).getByRole('button', { name: /As calculated/ }));
    expect((await within(wait()).findAllByText(WAIT.why[0]?.says ?? 'nothing')).length).toBeGreaterThan(0);
  });
  it('planned: from which minute, and by when it is likely dry', async () => {
    await drawn({ isPlanned: true });
    expect(wait().textContent).toMatch(/from .*10:00, dry about /);
  });
  it('a person ends it by hand, and takes that back', async () => {
    const confirmed = await drawn();
    fireEvent.click(within(wait()).getByRole('button', { name: 'Dry to the touch: over' }));
    expect(confirmed).toEqual(['A primer']);
  });
  it('ended: it says by hand, and offers to take it back', async () => {
    await drawn({ isOver: true });
    expect(wait().textContent).toContain('ended by hand');
    const back = within(wait()).getByRole('button', { name: 'It was not dry: take it back' });
    expect(back.getAttribute('aria-pressed')).toBe('true');
  });
});
