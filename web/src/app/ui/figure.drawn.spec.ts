import { describe, expect, it } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/angular';
import { applyFormula } from '@yellow-pane/core/quantity';
import { DROP_COUNT } from '@yellow-pane/core/blanks';
import { Figure } from './figure';

describe('can every figure be opened?', () => {
  it('to its formula, its inputs with their units, and its source; and closed again', async () => {
    const step = applyFormula(DROP_COUNT, { whole_mm: 3600, roll_mm: 1220, lap_mm: 50 });
    await render(`<yp-figure label="Drops" value="4" [why]="why" />`, {
      imports: [Figure],
      componentProperties: { why: [step] },
    });
    const button = screen.getByRole('button', { name: /Drops\s*4/ });
    expect(button.getAttribute('aria-expanded')).toBe('false');
    expect(screen.queryByText(DROP_COUNT.says)).toBeNull();
    fireEvent.click(button);
    expect(button.getAttribute('aria-expanded')).toBe('true');
    expect(await screen.findByText(DROP_COUNT.says)).toBeTruthy();
    const shown = document.body.textContent;
    for (const { word } of Object.values(DROP_COUNT.inputs)) expect(shown).toContain(word);
    expect(shown).toContain('1220');
    expect(shown).toContain(DROP_COUNT.source.text);
    fireEvent.click(button);
    expect(button.getAttribute('aria-expanded')).toBe('false');
  });

  it('a spread known is shown beside it in the units shown', async () => {
    const step = {
      ...applyFormula(DROP_COUNT, { whole_mm: 1, roll_mm: 2, lap_mm: 0 }),
      uncertainty: { plusMinus: 2, says: 'one standard deviation' },
    };
    await render(`<yp-figure label="Width" value="880 mm" [why]="why" [showSpread]="show" />`, {
      imports: [Figure],
      componentProperties: { why: [step], show: (plusMinus: number) => `${plusMinus} mm` },
    });
    expect(screen.getByText('±2 mm')).toBeTruthy();
  });
});
