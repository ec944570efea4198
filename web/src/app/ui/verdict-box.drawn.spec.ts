import { describe, expect, it } from '@jest/globals';
import { render, screen } from '@testing-library/angular';
import { VerdictBox } from './verdict-box';
import { VERDICT_SHAPES } from './verdict-shapes';

describe('how is a verdict shown?', () => {
  it.each(['go', 'go with care', 'stop', 'unknown'] as const)(
    '%s: by its word, its sentence and a shape of its own, not by colour alone',
    async (verdict) => {
      const { container } = await render(
        `<yp-verdict-box [verdict]="verdict" heading="One measure disagrees">Measure it again.</yp-verdict-box>`,
        { imports: [VerdictBox], componentProperties: { verdict } },
      );
      const box = screen.getByRole('status');
      expect(box.textContent).toContain('One measure disagrees');
      expect(box.textContent).toContain('Measure it again.');
      expect(container.querySelector('path')?.getAttribute('d')).toBe(VERDICT_SHAPES[verdict]);
    },
  );
});
