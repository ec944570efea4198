import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { Device } from './device/device';
import { CommandKeys } from './shell/command-keys';
import { NameAsk } from './shell/name-ask';

@Component({
  selector: 'yp-root',
  imports: [RouterOutlet, NameAsk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (device.hasName()) {
      <router-outlet />
    } @else {
      <yp-name-ask />
    }
  `,
})
export class App {
  protected readonly device = inject(Device);
  constructor() {
    inject(CommandKeys).listen();
  }
}
