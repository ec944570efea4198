import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, output } from '@angular/core';
import { heldNow, openElsewhere, workStepsOf } from '@yellow-pane/core/reading';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

/** One tick for a whole row or room: exceptions are struck out, and each surface keeps its own clock. */
@Component({
  selector: 'yp-many-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="text-lg font-semibold leading-snug">{{ words.manyAsks(what()) }}</p>
    <div class="grid grid-cols-3 gap-2 mt-2" role="group" [attr.aria-label]="words.manyWhich">
      @for (own of others(); track own.application.id) {
        <button
          type="button"
          class="act min-h-14 justify-center"
          [class.line-through]="isOut(own.application.id) || own.isHeld"
          [disabled]="own.isHeld"
          [attr.aria-pressed]="!isOut(own.application.id) && !own.isHeld"
          (click)="strike(own.application.id)"
        >
          {{ own.surface.tag }}
        </button>
      } @empty {
        <p class="col-span-3">{{ words.manyNone }}</p>
      }
    </div>
    @if (held()) {
      <p class="mt-1">{{ words.manyHeld(held()) }}</p>
    }
    @if (others().length > 0) {
      <button type="button" class="act min-h-16 text-xl w-full justify-center mt-2" (click)="tick()">
        {{ words.manyDone(chosen().length + (isHereOpen() ? 1 : 0)) }}
      </button>
    }
  `,
  host: { class: 'block' },
})
export class ManyHere {
  protected readonly words = fitWords;
  readonly ticked = output();
  readonly #desk = inject(FitDesk);
  readonly #job = inject(JobDesk);
  readonly #view = inject(JobReading).view;
  readonly #out = linkedSignal<string, ReadonlySet<string>>({
    source: this.#desk.stepKey,
    computation: () => new Set(),
  });
  protected readonly what = computed(() => this.#desk.current()?.what ?? '');
  protected readonly isHereOpen = computed(
    () => !this.#desk.isDone(this.#desk.current()?.step ?? '') && this.#desk.held() === undefined,
  );
  protected readonly others = computed(() => {
    const [application, step] = [this.#desk.application(), this.#desk.current()];
    if (application === undefined || step === undefined) return [];
    return openElsewhere(this.#view(), application, step.step).flatMap((own) => {
      const same = workStepsOf(this.#view(), own.application).find(({ step: key }) => key === step.step);
      if (same === undefined || same.rounds > 1) return [];
      const held = heldNow(this.#view(), own.application, same, this.#desk.askedElsewhere());
      return [{ ...own, step: same, isHeld: held !== undefined }];
    });
  });
  protected readonly chosen = computed(() =>
    this.others().filter(({ application, isHeld }) => !isHeld && !this.isOut(application.id)),
  );
  protected readonly held = computed(() =>
    this.others()
      .filter(({ isHeld }) => isHeld)
      .map(({ surface }) => surface.tag)
      .join(', '),
  );

  protected isOut(applicationId: string): boolean {
    return this.#out().has(applicationId);
  }

  protected strike(applicationId: string): void {
    this.#out.update((out) => {
      const next = new Set(out);
      if (!next.delete(applicationId)) next.add(applicationId);
      return next;
    });
  }

  protected tick(): void {
    const here = this.isHereOpen() ? this.#desk.hereToo() : [];
    const all = [...here, ...this.chosen()];
    this.#job.do(
      fitWords.manyTicked(all.length, this.what()),
      all.map(({ application, step }) => this.#desk.opOf(application.id, step, this.#desk.doneNow(step))),
    );
    this.ticked.emit();
  }
}
