import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { DialogRef } from '@angular/cdk/dialog';
import { shellWords } from '../words/shell';
import { groupedCommands } from './command-groups';
import { type About, type Command, Commands } from './commands';

const ABOUT_WORDS: Readonly<Record<About, string>> = {
  here: shellWords.forThisWork,
  job: shellWords.inThisJob,
  elsewhere: shellWords.otherPlaces,
  device: shellWords.thisDevice,
};

/** Every command there is now, with its key: a sheet at the side, what fits the work at hand first. */
@Component({
  selector: 'yp-command-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="bg-ground border-x-2 border-ink h-dvh w-[min(22rem,100vw)] flex flex-col" role="document">
      <label class="px-4 pt-3 font-bold" for="command-search">{{ words.whatToDo }}</label>
      <input
        id="command-search"
        class="field mx-4 mt-1 mb-2 w-auto"
        autocomplete="off"
        role="combobox"
        aria-expanded="true"
        aria-controls="command-options"
        [attr.aria-activedescendant]="found()[at()] ? 'command-' + at() : null"
        [value]="text()"
        (input)="search($any($event.target).value)"
        (keydown)="walk($event)"
      />
      <div
        id="command-options"
        role="listbox"
        [attr.aria-label]="words.commands"
        class="overflow-auto grow pb-4"
      >
        @for (group of groups(); track group.about) {
          <div role="group" [attr.aria-label]="abouts[group.about]" class="mt-2">
            <p class="px-4 text-sm text-faint border-b border-line" aria-hidden="true">
              {{ abouts[group.about] }}
            </p>
            @for (command of group.commands; track command.id) {
              @let index = found().indexOf(command);
              <div
                role="option"
                [id]="'command-' + index"
                [attr.aria-selected]="index === at()"
                class="grid grid-cols-[1fr_auto] gap-3 items-center px-4 min-h-touch border-l-4 border-transparent cursor-pointer aria-selected:bg-paper aria-selected:border-now"
                (click)="run(command)"
                (mousemove)="at.set(index)"
              >
                <span class="leading-tight" [class.text-faint]="command.canRun?.() === false"
                  >{{ command.word }}
                  @if (command.canRun?.() === false) {
                    {{ words.nothingToDo }}
                  }
                </span>
                <span class="figure text-sm text-faint">{{ command.keys }}</span>
              </div>
            }
          </div>
        } @empty {
          <div role="option" aria-selected="false" aria-disabled="true" class="px-4 py-3 text-faint">
            {{ words.nothingMatches(text()) }}
          </div>
        }
      </div>
      <button type="button" class="act act-small m-3 self-start" (click)="close()">
        {{ words.closeCommands }}
      </button>
    </div>
  `,
})
export class CommandList {
  protected readonly words = shellWords;
  readonly #commands = inject(Commands);
  readonly #dialog = inject<DialogRef<undefined>>(DialogRef);
  protected readonly text = signal('');
  protected readonly at = signal(0);
  protected readonly abouts = ABOUT_WORDS;
  protected readonly groups = computed(() => groupedCommands(this.#commands.all(), this.text()));
  protected readonly found = computed(() => this.groups().flatMap(({ commands }) => commands));

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

  protected close(): void {
    this.#dialog.close();
  }

  protected run(command: Command): void {
    if (command.canRun?.() === false) return;
    this.#dialog.close();
    setTimeout(() => {
      command.run();
    });
  }
}
