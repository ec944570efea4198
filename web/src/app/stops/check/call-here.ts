import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type CallAnswer, type CallerSees, callAnswer } from '@yellow-pane/core/diagnosing';
import { type Mark, type MarkLook, NEW_MARK } from '@yellow-pane/core/job';
import { CallBook } from '../../causes/call-book';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { Selection } from '../../shell/selection';
import { causesWords } from '../../words/causes';
import { CheckDesk } from './check-desk';

const LOOKS: Readonly<Record<CallerSees, MarkLook>> = {
  'a crack in the glass': 'crack',
  'bubbles or haze': 'bubble',
  'film comes off': 'edge lifts',
  'something else': 'not said',
};

const DAY_MS = 86_400_000;
const NOT_SAID: CallAnswer = { says: 'come by', why: 'to be looked at', until_days: null };

/** A call that came from the card: it becomes a mark of a surface, and a visit where somebody comes by. */
@Component({
  selector: 'yp-call-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (call(); as own) {
      <section class="border-2 border-ink rounded-card bg-paper p-3 m-3" [attr.aria-label]="words.call">
        <p class="text-lg font-bold">{{ words.answer(answer().says) }}</p>
        <p>{{ words.fromPhone(words.seesWord(own.sees), own.laid) }} {{ words.sayThis(answer().why) }}</p>
        <div class="flex flex-wrap gap-2 mt-2">
          @if (selection.surface(); as surface) {
            <button type="button" class="act act-next min-h-14" (click)="put()">
              {{ comesBy() ? words.putOn(surface.tag) : words.putOnOnly(surface.tag) }}
            </button>
          } @else {
            <span class="font-semibold content-center">{{ words.whichSurface }}</span>
          }
          <button type="button" class="act min-h-14" (click)="book.taken.set(undefined)">
            {{ words.notHere }}
          </button>
        </div>
      </section>
    }
  `,
  host: { class: 'block empty:hidden' },
})
export class CallHere {
  protected readonly words = causesWords;
  protected readonly book = inject(CallBook);
  protected readonly selection = inject(Selection);
  readonly #desk = inject(JobDesk);
  readonly #check = inject(CheckDesk);
  protected readonly call = computed(() => {
    const taken = this.book.taken();
    return taken?.jobId === this.#desk.state().jobId ? taken : undefined;
  });
  /** By the film of the surface in hand, once one is: its own day and its own upper date. */
  protected readonly answer = computed((): CallAnswer => {
    const [own, drying] = [this.call(), this.#check.judged()?.drying];
    const custom = own?.answer ?? NOT_SAID;
    if (own === undefined || drying?.laid_ms == null) return custom;
    const days = (Date.parse(own.at) - drying.laid_ms) / DAY_MS;
    const until =
      drying.by === 'not this season'
        ? Infinity
        : drying.until_ms === null
          ? 0
          : (drying.until_ms - drying.laid_ms) / DAY_MS;
    return callAnswer({ sees: own.sees, days, isInTheWay: own.isInTheWay }, until) ?? custom;
  });
  protected readonly comesBy = computed(() => this.answer().says !== 'normal');

  protected put(): void {
    const [own, surface] = [this.call(), this.selection.surface()];
    if (own === undefined || surface === undefined) return;
    const markId = newId();
    const note = causesWords.fromPhone(causesWords.seesWord(own.sees), own.laid);
    const mark: Mark = {
      ...{ ...NEW_MARK, surfaceId: surface.id, look: LOOKS[own.sees], note },
      ...{ firstSeenAt: own.at, from: 'phone' },
    };
    this.#desk.do(causesWords.called(surface.tag), [
      this.#desk.put('mark', mark, markId),
      ...(this.comesBy()
        ? [
            this.#desk.put('visit', {
              reasons: [
                {
                  ...{ key: `call ${markId}`, kind: 'other', surfaceId: surface.id },
                  ...{ applicationId: null, markId },
                },
              ],
              ...{ notBefore: own.at, due: null, plannedAt: null, people: [], state: 'open', note },
            }),
          ]
        : []),
    ]);
    this.book.taken.set(undefined);
  }
}
