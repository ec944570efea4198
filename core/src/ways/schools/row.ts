import { always, school } from './school';

export const ROW_LINE = school({
  asks: 'Lined up over the row by',
  options: [
    {
      value: 'true level',
      reason: 'The row reads as one line; a pane whose frame is off shows a wedge.',
    },
    { value: 'the frame', reason: 'No wedge at any pane; the line bends from pane to pane.' },
  ],
  pick: always('true level', 'the eye follows a line over the row'),
});
