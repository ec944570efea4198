import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { foundWords } from '@yellow-pane/contracts/words';
import { NEW_PART, type RowOf, type Signature } from '@yellow-pane/core/job';
import { foundOnArrival } from '@yellow-pane/core/reading';
import { WhoseHand } from '../../device/whose-hand';
import { JobDesk } from '../../job/job-desk';
import { PhotoWork } from '../../job/photo-work';
import { Selection } from '../../shell/selection';
import { PhotoButton } from '../../ui/photo-button';
import { SignatureBox } from '../../ui/signature-box';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';

/** How glass and ground were found before any work, taken from what is known, and signed. */
@Component({
  selector: 'yp-arrival-here',
  imports: [PhotoButton, SignatureBox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="arrival" class="max-w-xl flex flex-col gap-2">
      <h2 id="arrival" class="text-lg font-bold">{{ words.arrival }}</h2>
      @for (row of kept(); track row.id) {
        <p class="flex flex-wrap gap-2 items-center">
          <span>{{ words.arrivalSigned(row.signature.name, close.dayOf(row.signature.at)) }}</span><a
            class="act act-small"
            [href]="close.paper('close/arrivals/' + row.id)"
            download="arrival.pdf"
            >{{ words.print }}</a
          >
        </p>
      }
      <ul class="border-t border-line">
        @for (one of noted(); track one.surfaceId) {
          <li class="border-b border-line py-1">
            <span class="font-semibold">{{ one.tag }}</span>
            @for (line of one.lines; track $index) {
              <span class="block">{{ words.foundIs(line) }}</span>
            }
            @if (one.photos > 0) {
              <span class="block text-sm">{{ words.photosOfIt(one.photos) }}</span>
            }
          </li>
        }
      </ul>
      <p class="text-sm">{{ words.noteMore(found().length - noted().length, noted().length === 0) }}</p>
      @if (surface(); as here) {
        <div class="flex flex-wrap gap-2 items-end">
          <label class="block flex-1 min-w-40"
            ><span class="block">{{ words.foundOn(here.tag) }}</span
            ><input
              class="field min-h-14"
              maxlength="200"
              [value]="damage()"
              (input)="damage.set($any($event.target).value)"
          /></label>
          <button type="button" class="act min-h-14" (click)="noteDamage(here)">{{ words.noteIt }}</button>
          <yp-photo-button [word]="words.pictureOf(here.tag)" (taken)="photo(here, $event)" />
        </div>
        @if (photos.fault(); as text) {
          <p class="text-stop font-semibold" role="alert">{{ text }}</p>
        }
      }
      <label class="block"
        ><span class="block">{{ words.note }}</span
        ><textarea
          class="field w-full min-h-20"
          maxlength="4000"
          [value]="note()"
          (input)="note.set($any($event.target).value)"
        ></textarea>
      </label>
      @if (kept().length > 0) {
        <details class="border-l-4 border-line-strong pl-3">
          <summary class="min-h-10 content-center cursor-pointer font-semibold">{{ words.signOnce }}</summary>
          <yp-signature-box [word]="words.arrivalSign" (signed)="keep($event)" />
        </details>
      } @else {
        <yp-signature-box [word]="words.arrivalSign" (signed)="keep($event)" />
      }
    </section>
  `,
  host: { class: 'block' },
})
export class ArrivalHere {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  readonly #job = inject(JobDesk);
  readonly #hand = inject(WhoseHand);
  protected readonly photos = inject(PhotoWork);
  protected readonly surface = inject(Selection).surface;
  protected readonly note = signal('');
  protected readonly damage = signal('');
  protected readonly found = computed(() => foundOnArrival(this.close.view()));
  protected readonly kept = computed(() => this.close.view().rows.arrival);
  protected readonly noted = computed(() =>
    this.found()
      .filter(({ lines, photoIds }) => lines.length + photoIds.length > 0)
      .map(({ surfaceId, tag, lines, photoIds }) => ({
        ...{ surfaceId, tag, photos: photoIds.length },
        lines: lines.map(foundWords),
      })),
  );

  protected noteDamage({ id, tag }: RowOf<'surface'>): void {
    const name = this.damage().trim();
    if (name === '') return;
    this.#hand.whenKnown(() => {
      this.#job.do(closeWords.damageNoted(tag), [
        this.#job.put('part', {
          ...{ ...NEW_PART, surfaceId: id, kind: 'damage', name },
          position: this.close.view().partsOf(id).length + 1,
        }),
      ]);
      this.damage.set('');
    });
  }

  protected photo(surface: RowOf<'surface'>, file: File): void {
    void this.photos.add(surface, {}, file);
  }

  protected keep(signature: Signature): void {
    this.#hand.whenSigned((by) => {
      this.#job.do(closeWords.arrivalKept, [
        this.#job.put('arrival', { found: this.found(), note: this.note(), signature, by }),
      ]);
      this.note.set('');
    });
  }
}
