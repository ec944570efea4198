import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import { JobClock } from '../../day/job-clock';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { surveyWords } from '../../words/survey';

/** Rescue glass gets no film before somebody agreed in writing: who, on which paper, noted by whom. */
@Component({
  selector: 'yp-consent-given',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (site()?.consent; as consent) {
      <p class="leading-snug">
        {{ words.consentGiven(consent.givenBy, consent.number, consent.who, day(consent.at)) }}
        <button type="button" class="act act-small ml-2" (click)="takeBack()">{{ words.takeBack }}</button>
      </p>
    } @else {
      <form class="border-2 border-stop rounded-card p-2 flex flex-col gap-2" (submit)="note($event)">
        <p class="leading-snug font-semibold">{{ words.consentAsked }}</p>
        <label
          >{{ words.consentBy
          }}<input
            class="field"
            maxlength="200"
            [value]="givenBy()"
            (input)="givenBy.set($any($event.target).value)"
        /></label>
        <label
          >{{ words.consentNumber
          }}<input
            class="field"
            maxlength="200"
            [value]="number()"
            (input)="number.set($any($event.target).value)"
        /></label>
        @if (fault()) {
          <p class="text-sm text-stop font-semibold" role="alert">{{ words.consentNeeds }}</p>
        }
        <button type="submit" class="act act-small self-start">{{ words.consentNoted }}</button>
      </form>
    }
  `,
  host: { class: 'block mt-2' },
})
export class ConsentGiven {
  protected readonly words = surveyWords;
  readonly #clock = inject(JobClock);
  readonly #desk = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  readonly #reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly site = computed(() => this.#reading.siteFactsOf(this.surface().id));
  protected readonly givenBy = signal('');
  protected readonly number = signal('');
  protected readonly fault = signal(false);

  protected day(at: string): string {
    return this.#clock.clock().dateOf(at);
  }

  protected note(event: Event): void {
    event.preventDefault();
    const [givenBy, number] = [this.givenBy().trim(), this.number().trim()];
    this.fault.set(givenBy === '' || number === '');
    const site = this.site();
    if (this.fault() || site === undefined) return;
    this.#hand.whenSigned((signed) => {
      const consent = { givenBy, number, ...signed };
      this.#desk.do(surveyWords.consentOf(this.surface().tag), [
        this.#desk.set('siteFacts', site.id, { consent }),
      ]);
    });
  }

  protected takeBack(): void {
    const site = this.site();
    if (site !== undefined)
      this.#desk.do(surveyWords.consentOf(this.surface().tag), [
        this.#desk.set('siteFacts', site.id, { consent: null }),
      ]);
  }
}
