import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterOutlet } from '@angular/router';
import { People } from './catalogue/people';
import { WhoseHand } from './device/whose-hand';
import { CommandKeys } from './shell/command-keys';
import { CalledHere } from './shell/called-here';
import { NameAsk } from './shell/name-ask';

@Component({
  selector: 'yp-root',
  imports: [RouterOutlet, CalledHere, NameAsk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <router-outlet />
    <yp-called-here />
    @if (hand.isAsked()) {
      <yp-name-ask />
    }
  `,
})
export class App {
  protected readonly hand = inject(WhoseHand);
  constructor() {
    inject(CommandKeys).listen();
    void inject(People).load();
  }
}
