import type { Command } from '../../shell/commands';
import { fitWords } from '../../words/fit';
import type { FitPanel } from './fit-actions';
import type { FitDesk } from './fit-desk';

interface Page {
  readonly lock: () => void;
  readonly panel: (panel: FitPanel) => void;
}

/** Everything Fit does by key. */
export function fitCommands(desk: FitDesk, page: Page): readonly Command[] {
  return [...ofTheStep(desk), ...ofWalking(desk), ...ofThePage(desk, page)];
}

const hasStep = (desk: FitDesk) => (): boolean => desk.current() !== undefined;

function ofTheStep(desk: FitDesk): readonly Command[] {
  return [
    {
      id: 'step-done',
      word: fitWords.stepDoneGoOn,
      keys: 'Alt+Enter',
      canRun: hasStep(desk),
      run: () => {
        if (desk.isDone(desk.current()?.step ?? '')) desk.untick();
        else desk.tick();
      },
    },
    {
      id: 'step-timer',
      word: fitWords.startTimerOfStep,
      keys: 'Alt+T',
      canRun: hasStep(desk),
      run: () => {
        desk.startTimer();
      },
    },
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
  ];
}

function ofWalking(desk: FitDesk): readonly Command[] {
  const to = (id: string, word: string, keys: string, by: 1 | -1): Command => ({
    id,
    word,
    keys,
    canRun: () => desk.steps()[desk.at() + by] !== undefined,
    run: () => {
      desk.walk(by);
    },
  });
  return [
    to('step-back', fitWords.stepBefore, fitWords.keysBack, -1),
    to('step-on', fitWords.stepAfter, fitWords.keysOn, 1),
  ];
}

function ofThePage(desk: FitDesk, page: Page): readonly Command[] {
  return [
    {
      id: 'fit-more',
      word: fitWords.more,
      keys: 'Alt+O',
      canRun: hasStep(desk),
      run: () => {
        page.panel('more');
      },
    },
    { id: 'wet-lock', word: fitWords.wetLock, keys: 'Alt+W', canRun: hasStep(desk), run: page.lock },
  ];
}
