import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import type { StrokeMoment } from '@yellow-pane/core/reading';
import type { WorkStep } from '@yellow-pane/core/ways';
import { LinerHere } from './liner-here';
import { StrokesHere } from './strokes-here';
import { TrimHere } from './trim-here';

/**
 * What is drawn with a step: strokes, what is trimmed, or how the liner comes off; where no strokes are
 * planned, what is put into it.
 */
@Component({
  selector: 'yp-step-drawing',
  imports: [LinerHere, StrokesHere, TrimHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (step().draws) {
      @case ('trim') {
        <yp-trim-here [application]="application()" [step]="step().step" />
      }
      @case ('liner') {
        <yp-liner-here [application]="application()" [tag]="tag()" />
      }
      @case (null) {}
      @default {
        <yp-strokes-here
          [application]="application()"
          [moment]="moment()"
          [sheet]="sheet()"
          [tag]="tag()"
          [isLocked]="isLocked()"
          (editing)="editing.emit($event)"
          ><ng-content
        /></yp-strokes-here>
      }
    }
  `,
  host: { class: 'block' },
})
export class StepDrawing {
  readonly step = input.required<WorkStep>();
  readonly application = input.required<RowOf<'application'>>();
  readonly tag = input.required<string>();
  /** Of several sheets, counted from 1. */
  readonly sheet = input(1);
  readonly isLocked = input(false);
  readonly editing = output<boolean>();
  protected readonly moment = computed<StrokeMoment>(() => {
    const { draws, isHardPass } = this.step();
    return draws === 'lock' ? 'lock' : isHardPass ? 'hard pass' : 'press';
  });
}
