import { describe, expect, it } from '@jest/globals';
import type { CutPlanFile } from '@yellow-pane/contracts/cut-files';
import { textOf } from '../testing/pdf-reader';
import { labelsPdf } from './labels-pdf';

const FILE: CutPlanFile = {
  format: 'yellow-pane cut plan',
  version: 2,
  job: 'a job',
  film: 'a film',
  mode: 'by hand',
  liner: 'up',
  madeBy: 'Wren',
  madeAt: '2026-11-24T09:20:00.000Z',
  rolls: [
    {
      label: 'R',
      what: 'roll',
      lot: 'L',
      width_mm: 1524,
      length_mm: 5000,
      used_mm: 1400,
      pieces: [
        {
          tag: 'SW1',
          drop: 1,
          of: 1,
          x_mm: 0,
          y_mm: 0,
          across_mm: 800,
          along_mm: 1400,
          turned: false,
          top: 'to the roll end',
          factoryEdges: [],
          phase_mm: 0,
        },
      ],
    },
  ],
};

describe('is a label made whatever address its code leads to?', () => {
  it('one as long as Settings takes', async () => {
    const plan = {
      file: FILE,
      endWaste_mm: 0,
      rolls: FILE.rolls.map((roll) => ({ id: 'r', roll, surfaceIds: ['s'] })),
    };
    const address = `http://${'a'.repeat(200)}/jobs/0199b9a6-0003-7000-8000-000000000002/fit/0199b9a6-0003-7000-8000-000000000003`;
    const [label = ''] = await textOf(
      await labelsPdf(plan, { sheet: 'A4 3x8', addressOf: () => address, units: 'metric' }),
    );
    expect(label).toContain('SW1');
  });
});
