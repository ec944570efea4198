import { ChangeDetectionStrategy, Component, DestroyRef, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import type { ComeAndLook } from '@yellow-pane/contracts';
import { filter } from 'rxjs';
import { Device } from '../device/device';
import { Ring } from '../device/ring';
import { sessionOf } from '../device/session';
import { events$ } from '../server/server-events';
import { shellWords } from '../words/shell';

type Call = ComeAndLook & { readonly jobId: string };

/** A colleague asks to come and look: what and where, on whatever page one is. */
@Component({
  selector: 'yp-called-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (call(); as own) {
      <div
        class="fixed inset-x-3 top-3 z-50 max-w-2xl mx-auto bg-ink text-ground rounded-card p-4 flex flex-wrap gap-3 items-center"
        role="alert"
      >
        <p class="flex-1 min-w-60 text-xl leading-snug">
          <strong>{{ words.calledBy(own.who, own.tag) }}</strong> {{ own.says }}
        </p>
        <button type="button" class="act text-ink min-h-14" (click)="go(own)">
          {{ words.goThere(own.tag) }}
        </button>
        <button type="button" class="act text-ink min-h-14" (click)="call.set(undefined)">
          {{ words.notNow }}
        </button>
      </div>
    }
  `,
})
export class CalledHere {
  protected readonly words = shellWords;
  readonly #router = inject(Router);
  protected readonly call = signal<Call | undefined>(undefined);

  constructor() {
    const device = inject(Device);
    const ring = inject(Ring);
    events$
      .pipe(
        filter(({ name }) => name === 'call'),
        takeUntilDestroyed(inject(DestroyRef)),
      )
      .subscribe(({ data }) => {
        const call = JSON.parse(data) as Call;
        if (call.session === sessionOf(device.who())) return;
        this.call.set(call);
        ring.ring();
      });
  }

  protected go({ jobId, surfaceId }: Call): void {
    this.call.set(undefined);
    void this.#router.navigate(['/jobs', jobId, 'fit', surfaceId]);
  }
}
