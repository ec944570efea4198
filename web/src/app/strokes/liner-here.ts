import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { holdsWords, linerPartWords, linerWords as linerSays } from '@yellow-pane/contracts/words';
import type { RowOf } from '@yellow-pane/core/job';
import { formatLengthWithUnit, nmFromMm } from '@yellow-pane/core/quantity';
import { linerOf } from '@yellow-pane/core/reading';
import { People } from '../catalogue/people';
import { Device } from '../device/device';
import { LinerPicture } from '../drawing/liner-picture';
import { JobReading } from '../job/job-reading';
import { linerWords } from '../words/liner';

/** How the liner comes off at a step: tabs, parts, who stands where, the room it takes. */
@Component({
  selector: 'yp-liner-here',
  imports: [LinerPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (shown(); as own) {
      <section [attr.aria-label]="words.liner" class="flex flex-col gap-2">
        <yp-liner-picture [plan]="own.plan" [says]="own.caption" />
        <p class="text-xl leading-snug font-semibold">{{ own.says }}</p>
        <ol class="text-xl leading-snug">
          @for (part of own.parts; track part) {
            <li>{{ part }}</li>
          }
        </ol>
        @for (line of own.lines; track line) {
          <p class="text-xl leading-snug">{{ line }}</p>
        }
        <p class="leading-snug">
          <strong>{{ words.room }}</strong> {{ own.room }}
        </p>
      </section>
    } @else {
      <p class="text-lg">{{ words.notKnown }}</p>
    }
  `,
  host: { class: 'block' },
})
export class LinerHere {
  protected readonly words = linerWords;
  readonly #reading = inject(JobReading);
  readonly #units = inject(Device).units;
  readonly #self = inject(People).self;
  readonly application = input.required<RowOf<'application'>>();
  readonly tag = input.required<string>();
  protected readonly shown = computed(() => {
    const plan = linerOf(this.#reading.view(), this.application(), this.#self()?.id);
    if (plan === undefined) return undefined;
    const { tabs, people, room, parts, isRolledUp, usesFloor, way } = plan;
    return {
      plan,
      caption: linerWords.says(this.tag(), way),
      says: linerSays(way),
      parts: parts.map((part) => linerPartWords(part, this.#length)),
      lines: [
        ...(tabs.length === 0 ? [linerWords.noTabs] : tabs.map(({ corner }) => linerWords.tabs(corner))),
        ...(people.length === 1
          ? people.map(({ holds }) => linerWords.alone(holdsWords(holds)))
          : people.map(({ number, holds }) => linerWords.person(number, holdsWords(holds)))),
        ...(isRolledUp ? [linerWords.rolled] : []),
        ...(usesFloor ? [linerWords.floor] : []),
      ],
      room: [
        linerWords.beside(this.#length(room.beside_mm)),
        ...(room.below_mm > 0 ? [linerWords.below(this.#length(room.below_mm))] : []),
        linerWords.before(this.#length(room.before_mm)),
      ].join(' · '),
    };
  });

  readonly #length = (mm: number): string => formatLengthWithUnit(nmFromMm(Math.round(mm)), this.#units());
}
