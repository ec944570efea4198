import { ChangeDetectionStrategy, Component } from '@angular/core';
import { EmptyStop } from '../../ui/empty-stop';
import { StopFrame } from '../../shell/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';

@Component({
  selector: 'yp-check',
  imports: [StopFrame, EmptyStop, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-stop-frame name="Check">
      <yp-empty-stop
        sheet
        class="flex-1"
        heading="Is it good work?"
        purpose="This stop will take what is seen on the finished surface and tell a normal drying pocket from a defect."
        [will]="will"
        missing="Inspection is not in this version. Notes on the steps at Fit are kept and will be shown here."
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
export class Check {
  protected readonly will = [
    'Defects pinned where they are, with photos',
    'The likely cause of each, and what to do',
    'Normal drying pockets, with the date by which they must be gone',
  ];
}
