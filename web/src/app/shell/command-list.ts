import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { DialogRef } from '@angular/cdk/dialog';
import { shellWords } from '../words/shell';
import { type Command, Commands } from './commands';

/** Every command there is now, with its key, to search and run. */
@Component({
  selector: 'yp-command-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="bg-paper border-2 border-ink rounded-card w-[min(34rem,94vw)] max-h-[80vh] flex flex-col"
      role="document"
    >
      <div class="p-3 border-b border-line">
        <label class="block font-bold mb-1" for="command-search">{{ words.whatToDo }}</label>
        <input
          id="command-search"
          class="field"
          autocomplete="off"
          role="combobox"
          aria-expanded="true"
          aria-controls="command-options"
          [attr.aria-activedescendant]="found()[at()] ? 'command-' + at() : null"
          [value]="text()"
          (input)="search($any($event.target).value)"
          (keydown)="walk($event)"
        />
      </div>
      <ul id="command-options" role="listbox" [attr.aria-label]="words.commands" class="overflow-auto py-1">
        @for (command of found(); track command.id; let index = $index) {
          <li
            role="option"
            [id]="'command-' + index"
            [attr.aria-selected]="index === at()"
            class="flex items-center gap-3 px-3 min-h-touch aria-selected:bg-board"
            (click)="run(command)"
            (mousemove)="at.set(index)"
          >
            <span class="flex-1" [class.text-faint]="command.canRun?.() === false"
              >{{ command.word }}
              @if (command.canRun?.() === false) {
                {{ words.nothingToDo }}
              }
            </span>
            @if (command.keys) {
              <span class="key">{{ command.keys }}</span>
            }
          </li>
        } @empty {
          <li role="option" aria-selected="false" aria-disabled="true" class="px-3 py-3 text-faint">
            {{ words.nothingMatches(text()) }}
          </li>
        }
      </ul>
    </div>
  `,
})
export class CommandList {
  protected readonly words = shellWords;
  readonly #commands = inject(Commands);
  readonly #dialog = inject<DialogRef<undefined>>(DialogRef);
  protected readonly text = signal('');
  protected readonly at = signal(0);
  protected readonly found = computed(() => {
    const words = this.text()
      .toLowerCase()
      .split(/\s+/)
      .filter((word) => word !== '');
    return this.#commands
      .all()
      .filter((command) => words.every((word) => command.word.toLowerCase().includes(word)));
  });

  protected search(text: string): void {
    this.text.set(text);
    this.at.set(0);
  }

  protected walk(event: KeyboardEvent): void {
    const count = this.found().length;
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      if (count > 0) this.at.update((at) => (at + (event.key === 'ArrowDown' ? 1 : count - 1)) % count);
      queueMicrotask(() => {
        document.getElementById(`command-${this.at()}`)?.scrollIntoView({ block: 'nearest' });
      });
    } else if (event.key === 'Enter') {
      event.preventDefault();
      const command = this.found()[this.at()];
      if (command !== undefined) this.run(command);
    }
  }

  protected run(command: Command): void {
    if (command.canRun?.() === false) return;
    this.#dialog.close();
    setTimeout(() => {
      command.run();
    });
  }
}
