import { ChangeDetectionStrategy, Component } from '@angular/core';
import { EmptyStop } from '../../ui/empty-stop';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';
import { fitWords } from '../../words/fit';

@Component({
  selector: 'yp-close',
  imports: [StopFrame, EmptyStop, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-stop-frame name="Close">
      <yp-empty-stop
        sheet
        class="flex-1"
        [heading]="words.handOver"
        [purpose]="words.closePurpose"
        [will]="will"
        [missing]="words.closeNotYet"
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
export class Close {
  protected readonly words = fitWords;
  protected readonly will = [fitWords.certificate, fitWords.returnVisits, fitWords.whichRoll];
}
