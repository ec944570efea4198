import { DOCUMENT, Injectable, Injector, inject } from '@angular/core';
import { createGlobalPositionStrategy } from '@angular/cdk/overlay';
import { Dialog, DialogConfig, type DialogRef } from '@angular/cdk/dialog';
import { shellWords } from '../words/shell';
import { CommandList } from './command-list';
import { type Command, Commands, keysOf } from './commands';

/** Hears keys for the whole program and runs the command they belong to. */
@Injectable({ providedIn: 'root' })
export class CommandKeys {
  readonly #commands = inject(Commands);
  readonly #dialog = inject(Dialog);
  readonly #document = inject(DOCUMENT);
  readonly #injector = inject(Injector);

  listen(): void {
    this.#document.addEventListener('keydown', (event) => {
      this.#press(event);
    });
  }

  openList(): void {
    if (this.#dialog.openDialogs.length > 0) return;
    const config = new DialogConfig<unknown, DialogRef<unknown, CommandList>>();
    config.backdropClass = 'cdk-overlay-transparent-backdrop';
    config.ariaLabel = shellWords.commands;
    config.autoFocus = 'input';
    config.positionStrategy = createGlobalPositionStrategy(this.#injector)
      .top('0')
      .right(`${this.#besideReckoning()}px`);
    this.#dialog.open<unknown, unknown, CommandList>(CommandList, config);
  }

  /** The reckoning stays in sight where it stands at the side. */
  #besideReckoning(): number {
    const view = this.#document.defaultView;
    const box = this.#document.querySelector('aside')?.getBoundingClientRect();
    const isAtTheSide = box !== undefined && view !== null && box.left > view.innerWidth / 2;
    return isAtTheSide ? view.innerWidth - box.left : 0;
  }

  #press(event: KeyboardEvent): void {
    if (event.defaultPrevented || this.#dialog.openDialogs.length > 0) return;
    const keys = keysOf(event);
    if (keys === 'F1' || (keys === '?' && isMeant(event, keys))) {
      event.preventDefault();
      this.openList();
      return;
    }
    const command = this.#commands
      .all()
      .find((offered) => offered.keys?.split(' or ').includes(keys) === true);
    if (command === undefined || !isMeant(event, keys) || command.canRun?.() === false) return;
    event.preventDefault();
    this.#run(command);
  }

  #run(command: Command): void {
    command.run();
  }
}

/** While typing in a field, plain keys and the field's own undo belong to the field. */
function isMeant(event: KeyboardEvent, keys: string): boolean {
  const target = event.target;
  if (!(
    target instanceof HTMLInputElement ||
    target instanceof HTMLTextAreaElement ||
    target instanceof HTMLSelectElement
  ))
    return true;
  const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey && event.key.length === 1;
  const isTextUndo =
    /^Ctrl\+(?:Shift\+)?[ZY]$/.test(keys) &&
    !(target instanceof HTMLSelectElement) &&
    target.dataset['typed'] !== undefined;
  return !isPlain && !isTextUndo;
}
