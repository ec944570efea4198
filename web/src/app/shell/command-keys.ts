import { DOCUMENT, Injectable, inject } from '@angular/core';
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

  listen(): void {
    this.#document.addEventListener('keydown', (event) => {
      this.#press(event);
    });
  }

  openList(): void {
    if (this.#dialog.openDialogs.length > 0) return;
    const config = new DialogConfig<unknown, DialogRef<unknown, CommandList>>();
    config.backdropClass = ['cdk-overlay-dark-backdrop', 'veil'];
    config.ariaLabel = shellWords.commands;
    config.autoFocus = 'input';
    this.#dialog.open<unknown, unknown, CommandList>(CommandList, config);
  }

  #press(event: KeyboardEvent): void {
    if (event.defaultPrevented || this.#dialog.openDialogs.length > 0) return;
    const keys = keysOf(event);
    if (keys === 'F1') {
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
