import type { SurfaceKind, SurfaceShape } from '@yellow-pane/core/job';
import type { Command } from '../../shell/commands';
import { surveyWords } from '../../words/survey';

/** What can be done at Survey, whatever the view. */
interface SurveyActions {
  readonly kinds: readonly { readonly kind: SurfaceKind; readonly shapes: readonly SurfaceShape[] }[];
  readonly hasSurface: () => boolean;
  readonly add: (kind?: SurfaceKind, shape?: SurfaceShape) => void;
  readonly remove: () => void;
  readonly goToNext: () => void;
  readonly turn: () => void;
  readonly show: (view: 'elevation' | 'transfer') => void;
  readonly togglePad: () => void;
}

export function surveyCommands(can: SurveyActions): readonly Command[] {
  const words = surveyWords;
  const hasSurface = { canRun: can.hasSurface };
  return [
    {
      id: 'new-surface',
      word: words.newSurface,
      keys: 'Alt+N',
      run: () => {
        can.add();
      },
    },
    ...can.kinds.flatMap(({ kind, shapes }) =>
      shapes.map((shape) => ({
        id: `new-${shape}`,
        word: words.newSurfaceOf(shape),
        run: () => {
          can.add(kind, shape);
        },
      })),
    ),
    { id: 'delete-surface', word: words.deleteSurface, ...hasSurface, run: can.remove },
    { id: 'first-measure', word: words.goToFirstEmpty, keys: 'Alt+M', ...hasSurface, run: can.goToNext },
    { id: 'look', word: words.lookFromOtherSide, keys: 'Alt+L', ...hasSurface, run: can.turn },
    {
      id: 'elevation',
      word: words.elevationCommand,
      keys: 'Alt+E',
      run: () => {
        can.show('elevation');
      },
    },
    {
      id: 'transfer',
      word: words.transferCommand,
      keys: 'Alt+I',
      run: () => {
        can.show('transfer');
      },
    },
    { id: 'pad', word: words.numberPadOnOff, keys: 'Alt+P', run: can.togglePad },
  ];
}
