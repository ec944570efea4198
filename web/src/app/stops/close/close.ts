import { ChangeDetectionStrategy, Component } from '@angular/core';
import { EmptyStop } from '../../ui/empty-stop';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';

@Component({
  selector: 'yp-close',
  imports: [StopFrame, EmptyStop, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-stop-frame name="Close">
      <yp-empty-stop
        sheet
        class="flex-1"
        heading="Hand over and remember"
        purpose="This stop will close the job: care, return visits, warranty facts and the record of what was used where."
        [will]="will"
        missing="Closing is not in this version. Who measured, cut and fitted what, and when, is kept already."
      />
      <div reckoning>
        <yp-verdict-box verdict="unknown" heading="Not reckoned yet"
          >This version works out nothing for this stop.</yp-verdict-box
        >
      </div>
    </yp-stop-frame>
  `,
  host: { class: 'contents' },
})
export class Close {
  protected readonly will = [
    'The certificate for the customer, to print',
    'Return visits and when sealant may go back',
    'Which roll, which day, what temperature',
  ];
}
