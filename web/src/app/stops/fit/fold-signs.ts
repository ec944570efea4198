import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { shrinkWords } from '../../words/shrink';

/** Film under the gun in three small drawings: not yet, now, too far. */
@Component({
  selector: 'yp-fold-signs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul class="grid grid-cols-3 gap-2">
      @for (sign of signs; track sign.word) {
        <li
          class="border rounded-card px-1 pt-1 text-center bg-paper"
          [class]="sign.isNow ? 'border-ink border-2' : 'border-line-strong'"
        >
          <svg viewBox="0 0 100 52" class="w-full max-h-16" aria-hidden="true">
            <path d="M4 46H96" class="stroke-line-strong" stroke-width="3" />
            <path
              [attr.d]="isThick() ? sign.thick : sign.thin"
              fill="none"
              class="stroke-ink"
              stroke-width="2.4"
            />
          </svg>
          <strong class="block leading-tight">{{ sign.word }}</strong>
          <span class="block text-sm leading-tight pb-1">{{ isThick() ? sign.saysThick : sign.says }}</span>
        </li>
      }
    </ul>
  `,
  host: { class: 'block' },
})
export class FoldSigns {
  readonly isThick = input(false);
  protected readonly signs = [
    {
      word: shrinkWords.notYet,
      isNow: false,
      says: shrinkWords.notYetSays,
      saysThick: shrinkWords.notYetThick,
      thin: 'M4 43H26C38 43 40 8 50 8S62 43 74 43H96',
      thick: 'M4 43H22C36 43 38 14 50 14S64 43 78 43H96',
    },
    {
      word: shrinkWords.now,
      isNow: true,
      says: shrinkWords.nowSays,
      saysThick: shrinkWords.nowThick,
      thin: 'M4 43H24C28 43 29 38 32 38S36 43 39 43S43 37 46 37S50 43 53 43S57 38 60 38S64 43 68 43H96',
      thick: 'M4 43H30C40 43 42 38 50 38S60 43 70 43H96',
    },
    {
      word: shrinkWords.tooFar,
      isNow: false,
      says: shrinkWords.tooFarSays,
      saysThick: shrinkWords.tooFarSays,
      thin: 'M4 43H20L30 26L38 43L46 22L54 43L62 24L72 43H96M34 14C40 8 36 4 42 0M58 14C64 8 60 4 66 0',
      thick: 'M4 43H20L30 26L38 43L46 22L54 43L62 24L72 43H96M34 14C40 8 36 4 42 0M58 14C64 8 60 4 66 0',
    },
  ];
}
