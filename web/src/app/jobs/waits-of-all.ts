import { ChangeDetectionStrategy, Component, DestroyRef, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { WaitOfJob } from '@yellow-pane/contracts';
import { clockDigits } from '@yellow-pane/core/fitting';
import { api } from '../server/api';
import { jobsWords } from '../words/jobs';

const TICK_MS = 1000;
const AGAIN_MS = 30_000;

/** What is waited for on all surfaces of all jobs, next first. */
@Component({
  selector: 'yp-waits-of-all',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <section class="mt-5" aria-labelledby="all-waits">
        <h2 id="all-waits" class="text-xl">{{ words.waits }}</h2>
        <ul class="border-t border-ink">
          @for (line of lines(); track line.key) {
            <li class="border-b border-line">
              <a
                class="flex items-center gap-4 min-h-14 hover:bg-board"
                [routerLink]="['/jobs', line.jobId, 'fit', line.surfaceId]"
              >
                <span class="font-bold text-2xl w-24">{{ line.tag }}</span>
                <span class="flex-1 leading-tight"
                  >{{ line.why }}<span class="block text-sm text-faint">{{ line.job }}</span></span
                >
                <span class="figure font-semibold text-4xl">{{ line.digits }}</span>
              </a>
            </li>
          }
        </ul>
      </section>
    }
  `,
  host: { class: 'block' },
})
export class WaitsOfAll {
  protected readonly words = jobsWords;
  readonly #waits = signal<readonly WaitOfJob[]>([]);
  readonly #now_ms = signal(Date.now());
  protected readonly lines = computed(() =>
    this.#waits().map((wait) => {
      const over_ms = wait.overAt === null ? null : Date.parse(wait.overAt);
      const latest_ms = wait.latestAt === null ? null : Date.parse(wait.latestAt);
      const now_ms = this.#now_ms();
      const until_ms = over_ms !== null && over_ms > now_ms ? over_ms : latest_ms;
      return {
        ...wait,
        key: `${wait.surfaceId} ${wait.why}`,
        digits: until_ms === null ? '' : clockDigits(Math.abs(until_ms - now_ms)),
      };
    }),
  );

  constructor() {
    const load = (): void => {
      api.waits().then(
        (waits) => {
          this.#waits.set(waits);
        },
        () => undefined,
      );
    };
    load();
    const ticking = setInterval(() => {
      this.#now_ms.set(Date.now());
    }, TICK_MS);
    const asking = setInterval(load, AGAIN_MS);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(ticking);
      clearInterval(asking);
    });
  }
}
