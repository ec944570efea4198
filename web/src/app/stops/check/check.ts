import { ChangeDetectionStrategy, Component } from '@angular/core';
import { EmptyStop } from '../../ui/empty-stop';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { fitWords } from '../../words/fit';

@Component({
  selector: 'yp-check',
  imports: [StopFrame, EmptyStop, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-stop-frame name="Check">
      <yp-empty-stop
        sheet
        class="flex-1"
        [heading]="words.isItGoodWork"
        [purpose]="words.checkPurpose"
        [will]="will"
        [missing]="words.checkNotYet"
      />
      <div reckoning>
        <yp-verdict-box verdict="unknown" [heading]="words.notReckonedYet">{{
          words.worksOutNothing
        }}</yp-verdict-box>
      </div>
    </yp-stop-frame>
  `,
  host: { class: 'contents' },
})
export class Check {
  protected readonly words = fitWords;
  protected readonly will = [fitWords.defectsPinned, fitWords.likelyCause, fitWords.dryingPockets];
}
