import { A11yModule } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { People } from '../catalogue/people';
import { WhoseHand } from '../device/whose-hand';
import { shellWords } from '../words/shell';

/** Asked once on each device, when there is something to keep: by whose hand it is. */
@Component({
  selector: 'yp-name-ask',
  imports: [A11yModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fixed inset-0 bg-black/45 z-50 grid place-items-center p-4" (keydown.escape)="hand.notNow()">
      <section
        class="bg-paper border-2 border-ink rounded-card p-5 w-full max-w-md max-h-full overflow-auto"
        role="dialog"
        aria-modal="true"
        aria-labelledby="name-ask-title"
        cdkTrapFocus
        cdkTrapFocusAutoCapture
      >
        <form (submit)="keep($event)">
          <h2 id="name-ask-title" class="text-2xl">{{ words.whoAreYou }}</h2>
          <p class="mt-2">
            {{ words.whyNameAsked }}
          </p>
          <label class="block mt-4 font-bold" for="who">{{ words.name }}</label>
          <input
            id="who"
            class="field text-xl mt-1"
            maxlength="80"
            autocomplete="name"
            cdkFocusInitial
            [value]="text()"
            (input)="text.set($any($event.target).value)"
            [attr.aria-describedby]="isMissing() ? 'who-missing' : null"
            [attr.aria-invalid]="isMissing()"
          />
          @if (isMissing()) {
            <p id="who-missing" class="mt-1 text-stop font-semibold">{{ words.nameTooShort }}</p>
          }
          @if (people.active().length > 0) {
            <p class="mt-4" id="known-here">{{ words.orYouAre }}</p>
            <span class="flex flex-wrap gap-2 mt-1" role="group" aria-labelledby="known-here">
              @for (person of people.active(); track person.id) {
                <button type="button" class="act" (click)="hand.say(person.name, person.id)">
                  {{ person.name }}
                </button>
              }
            </span>
          }
          <div class="flex gap-3 mt-5">
            <button class="act act-next text-lg flex-1 justify-center" type="submit">
              {{ words.keepIt }}
            </button>
            <button class="act act-quiet" type="button" (click)="hand.notNow()">{{ words.notNow }}</button>
          </div>
        </form>
      </section>
    </div>
  `,
})
export class NameAsk {
  protected readonly words = shellWords;
  protected readonly hand = inject(WhoseHand);
  protected readonly people = inject(People);
  protected readonly text = signal('');
  protected readonly isMissing = signal(false);

  protected keep(event: Event): void {
    event.preventDefault();
    const name = this.text().trim();
    this.isMissing.set(name === '');
    if (name !== '') this.hand.say(name, this.people.named(name)?.id);
  }
}
