import { ChangeDetectionStrategy, Component } from '@angular/core';
import { EmptyStop } from '../../ui/empty-stop';
import { StopFrame } from '../../ui/stop-frame';
import { VerdictBox } from '../../ui/verdict-box';

@Component({
  selector: 'yp-day',
  imports: [StopFrame, EmptyStop, VerdictBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <yp-stop-frame name="Day">
      <yp-empty-stop sheet class="flex-1" heading="When can work start?" purpose="This stop will say when each surface is fit to work on, and in what order to go through the day." [will]="will" missing="The sun, weather and drying models are not in this version. Until then: never on glass in direct sun or still warm from it." />
      <div reckoning><yp-verdict-box verdict="unknown" heading="Not reckoned yet">This version works out nothing for this stop.</yp-verdict-box></div>
    </yp-stop-frame>
  `,
  host: { class: 'contents' },
})
export class Day {
  protected readonly will = ['Sun on each surface, to the minute, with its uncertainty', 'Glass temperature, drying and warming times', 'The order of the crew’s steps, and what to mix and pack'];
}
