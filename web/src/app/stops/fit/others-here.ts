import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { headOf } from '@yellow-pane/core/ways';
import { People } from '../../catalogue/people';
import { Device } from '../../device/device';
import { sessionOf } from '../../device/session';
import { WhoseHand } from '../../device/whose-hand';
import { JobReading } from '../../job/job-reading';
import { api } from '../../server/api';
import { fitWords } from '../../words/fit';
import { FitDesk } from './fit-desk';

/** Colleagues: who did it, who goes on, and 'come and look'. */
@Component({
  selector: 'yp-others-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="act min-h-16 text-xl w-full justify-center" (click)="call()">
      {{ words.comeAndLook }}
    </button>
    @if (said(); as text) {
      <p class="mt-1 text-lg" role="status">{{ text }}</p>
    }
    <fieldset class="mt-3">
      <legend class="font-bold">{{ words.handOverTo }}</legend>
      <div class="grid grid-cols-3 gap-2">
        @for (own of colleagues(); track own.id) {
          <button
            type="button"
            class="act min-h-14 justify-center"
            [attr.aria-pressed]="own.isHere"
            [class.!bg-ink]="own.isHere"
            [class.!text-ground]="own.isHere"
            (click)="handOver(own)"
          >
            {{ own.name }}
          </button>
        } @empty {
          <p class="col-span-3">{{ words.noColleagues }}</p>
        }
      </div>
    </fieldset>
    <fieldset class="mt-3">
      <legend class="font-bold">{{ words.doneBy }}</legend>
      <div class="grid grid-cols-3 gap-2">
        @for (name of names(); track name) {
          <button
            type="button"
            class="act min-h-14 justify-center"
            [attr.aria-pressed]="isAtIt(name)"
            [class.!bg-ink]="isAtIt(name)"
            [class.!text-ground]="isAtIt(name)"
            (click)="toggle(name)"
          >
            {{ name }}
          </button>
        }
      </div>
    </fieldset>
  `,
  host: { class: 'block' },
})
export class OthersHere {
  protected readonly words = fitWords;
  readonly #desk = inject(FitDesk);
  readonly #people = inject(People);
  readonly #device = inject(Device);
  readonly #hand = inject(WhoseHand);
  readonly #reading = inject(JobReading);
  protected readonly said = signal<string | undefined>(undefined);
  /** Of this job's crew, or of the shop where the job has none. */
  readonly #crew = computed(() => {
    const { crew } = this.#reading.view();
    return crew.length > 0
      ? crew.map(({ personId, name }) => ({ id: personId ?? name, personId, name }))
      : this.#people.active().map(({ id, name }) => ({ id, personId: id, name }));
  });
  protected readonly names = computed(() => [
    ...new Set([this.#device.who(), ...this.#crew().map(({ name }) => name)].filter((name) => name !== '')),
  ]);
  protected readonly colleagues = computed(() => {
    const handedTo = this.#desk.record()?.handedTo?.who;
    return this.#crew()
      .filter(({ name }) => name !== this.#device.who())
      .map((own) => ({ ...own, isHere: own.name === handedTo }));
  });

  protected isAtIt(name: string): boolean {
    return this.#desk.record()?.people.includes(name) === true;
  }

  protected toggle(name: string): void {
    const step = this.#desk.current();
    const people = this.#desk.record()?.people ?? [];
    if (step !== undefined)
      this.#desk.write(
        step,
        { people: people.includes(name) ? people.filter((own) => own !== name) : [...people, name] },
        fitWords.peopleAt(this.#desk.tag(), step.number),
      );
  }

  protected handOver({
    personId,
    name,
    isHere,
  }: {
    personId: string | null;
    name: string;
    isHere: boolean;
  }): void {
    const step = this.#desk.current();
    if (step !== undefined)
      this.#desk.write(
        step,
        { handedTo: isHere ? null : { personId, who: name, at: new Date().toISOString() } },
        fitWords.handedTo(this.#desk.tag(), name),
      );
  }

  protected call(): void {
    const [surface, step] = [this.#desk.surface(), this.#desk.current()];
    if (surface === undefined || step === undefined) return;
    this.#hand.whenKnown((by) => {
      const call = {
        ...by,
        session: sessionOf(by.who),
        surfaceId: surface.id,
        tag: surface.tag,
        says: headOf(step.what),
      };
      api.call(surface.jobId, call).then(
        ({ pages }) => {
          this.said.set(pages > 1 ? fitWords.called : fitWords.calledNobody);
        },
        () => {
          this.said.set(fitWords.notCalled);
        },
      );
    });
  }
}
