import { JobClock } from '../../day/job-clock';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { FieldsOf, RowOf } from '@yellow-pane/core/job';
import { JobDesk } from '../../job/job-desk';
import { JobReading } from '../../job/job-reading';
import { CautionNote } from '../../ui/caution-note';
import { KeptField, type Typed } from '../../fields/kept-field';
import { surveyWords } from '../../words/survey';

const WORDS: Partial<Record<keyof FieldsOf<'surface'>, string>> = {
  tag: 'tag',
  name: 'name',
  seenFrom: surveyWords.seenFromWhere,
  condition: 'condition',
  remark: 'remark',
};

/** What is known of a surface beside its measures. */
@Component({
  selector: 'yp-surface-details',
  imports: [CautionNote, KeptField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let here = surface();
    @if (here.condition === 'cracked' || here.condition === 'chipped') {
      <yp-caution [word]="words.damagedGlass" [says]="words.damagedGlassSaid" />
    }
    <details class="border-t border-line pt-2">
      <summary class="font-bold min-h-10 cursor-pointer">{{ words.details }}</summary>
      <div class="grid grid-cols-[auto_1fr] gap-x-3 gap-y-2 items-center mt-1">
        <label for="d-tag">{{ words.tag }}</label><input
          id="d-tag"
          class="field"
          maxlength="40"
          [ypKept]="'tag:' + here.id"
          [is]="here.tag"
          [version]="here.version"
          (typed)="change('tag', $event)"
        />
        <label for="d-name">{{ words.name }}</label><input
          id="d-name"
          class="field"
          maxlength="200"
          [ypKept]="'name:' + here.id"
          [is]="here.name"
          [version]="here.version"
          (typed)="change('name', $event)"
        />
        <label for="d-seen">{{ words.leftSeenFrom }}</label>
        <select id="d-seen" class="field" (change)="change('seenFrom', { text: $any($event.target).value })">
          @for (side of sides; track side) {
            <option [value]="side" [selected]="side === here.seenFrom">{{ side }}</option>
          }
        </select>
        <label for="d-condition">{{ words.condition }}</label>
        <select
          id="d-condition"
          class="field"
          (change)="change('condition', { text: $any($event.target).value })"
        >
          @for (state of conditions; track state) {
            <option [value]="state" [selected]="state === here.condition">{{ state }}</option>
          }
        </select>
        <label for="d-remark">{{ words.remark }}</label><textarea
          id="d-remark"
          class="field"
          rows="2"
          maxlength="4000"
          [ypKept]="'remark:' + here.id"
          [is]="here.remark"
          [version]="here.version"
          (typed)="change('remark', $event)"
        ></textarea>
      </div>
      <button type="button" class="act act-small mt-3" (click)="removed.emit()">
        {{ words.deleteSurface }}
      </button>
    </details>
    @if (here.remark) {
      <p class="text-sm">
        <strong>{{ words.remarkLabel }}</strong> {{ here.remark }}
      </p>
    }
    <p class="text-sm text-faint">{{ history() }}</p>
  `,
  host: { class: 'flex flex-col gap-3' },
})
export class SurfaceDetails {
  protected readonly words = surveyWords;
  readonly #clock = inject(JobClock);
  readonly #desk = inject(JobDesk);
  protected readonly reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  readonly removed = output();
  protected readonly sides = ['room', 'outside', 'side A', 'side B'] as const;
  protected readonly conditions = ['unknown', 'sound', 'chipped', 'cracked'] as const;
  protected readonly history = computed(() => {
    const last = this.reading
      .measuresOf(this.surface().id)
      .reduce(
        (latest, measure) =>
          Date.parse(measure.changedAt) > Date.parse(latest.changedAt) ? measure : latest,
        this.reading.measuresOf(this.surface().id)[0] ?? this.surface(),
      );
    return surveyWords.lastChanged(last.changedBy, this.#clock.clock().momentOf(last.changedAt));
  });

  protected change(field: keyof FieldsOf<'surface'>, typed: Pick<Typed, 'text'> & Partial<Typed>): void {
    const surface = this.surface();
    const text = typed.text.trim();
    if (field === 'tag' && text === '') {
      this.#desk.say(surveyWords.tagNeedsLetter);
      return;
    }
    this.#desk.do(`${surface.tag}: ${WORDS[field] ?? field}`, [
      this.#desk.set('surface', surface.id, { [field]: text }, typed.seen),
    ]);
  }
}
