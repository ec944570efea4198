import type { Command } from '../../shell/commands';
import { fitWords } from '../../words/fit';
import type { FitPanel } from './fit-actions';
import type { FitDesk } from './fit-desk';

/** Everything Fit does by key. */
export function fitCommands(
  desk: FitDesk,
  page: { readonly lock: () => void; readonly panel: (panel: FitPanel) => void },
): readonly Command[] {
  const hasStep = (): boolean => desk.current() !== undefined;
  const back: Omit<Command, 'id' | 'keys'> = {
    word: fitWords.stepBefore,
    canRun: () => desk.at() > 0,
    run: () => {
      desk.walk(-1);
    },
  };
  const on: Omit<Command, 'id' | 'keys'> = {
    word: fitWords.stepAfter,
    canRun: () => desk.at() < desk.steps().length - 1,
    run: () => {
      desk.walk(1);
    },
  };
  return [
    {
      id: 'step-done',
      word: fitWords.stepDoneGoOn,
      keys: 'Alt+Enter',
      canRun: hasStep,
      run: () => {
        if (desk.isDone(desk.current()?.step ?? '')) desk.untick();
        else desk.tick();
      },
    },
    {
      id: 'step-timer',
      word: fitWords.startTimerOfStep,
      keys: 'Alt+T',
      canRun: hasStep,
      run: () => {
        desk.startTimer();
      },
    },
    { id: 'step-back', keys: 'Alt+ArrowLeft or PageUp', ...back },
    { id: 'step-on', keys: 'Alt+ArrowRight or PageDown', ...on },
    {
      id: 'gate-right',
      word: fitWords.gateRightKey,
      keys: 'Alt+Y',
      canRun: () => desk.held()?.case === 'gate',
      run: () => {
        const held = desk.held();
        const [line] = held?.case === 'gate' ? held.lines : [];
        if (line !== undefined) desk.answer(line, 'right');
      },
    },
    {
      id: 'fit-more',
      word: fitWords.more,
      keys: 'Alt+O',
      canRun: hasStep,
      run: () => {
        page.panel('more');
      },
    },
    { id: 'wet-lock', word: fitWords.wetLock, keys: 'Alt+W', canRun: hasStep, run: page.lock },
  ];
}
