import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { LinerPlan, LinerSpot } from '@yellow-pane/core/liner';
import { linerWords } from '../words/liner';
import { sheetFor } from './stroke-drawing';

const ROOM = 20;
const TAB = 34;
/** Room under the sheet, for those who stand there. */
const FEET = 84;
/** Beside it, for tabs and the roll. */
const BESIDE = 60;

/**
 * A sheet with its tabs, the parts of its liner in order, the line where a half ends, and who stands where.
 */
@Component({
  selector: 'yp-liner-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let own = drawn();
    <svg
      [attr.viewBox]="'0 0 ' + own.sheet.wide + ' ' + own.sheet.high"
      class="w-full max-h-[58vh] max-md:max-h-[44vh]"
      role="img"
      [attr.aria-label]="says()"
    >
      <rect
        [attr.x]="own.left"
        [attr.y]="own.top"
        [attr.width]="own.width"
        [attr.height]="own.height"
        class="fill-glass stroke-ink"
        stroke-width="2"
      />
      @for (part of own.parts; track part.number) {
        <rect
          [attr.x]="own.left"
          [attr.y]="part.top"
          [attr.width]="own.width"
          [attr.height]="part.height"
          class="fill-film stroke-ink"
          [attr.fill-opacity]="part.number === 1 ? 0.42 : 0.16"
          stroke-width="1.5"
          stroke-dasharray="8 5"
        />
        <path [attr.d]="part.arrow" fill="none" class="stroke-ink" stroke-width="4" />
        <circle [attr.cx]="part.label.x" [attr.cy]="part.label.y" r="18" class="fill-now stroke-ink" />
        <text
          [attr.x]="part.label.x"
          [attr.y]="part.label.y + 8"
          text-anchor="middle"
          class="fill-now-ink font-bold text-[22px]"
        >
          {{ part.number }}
        </text>
      }
      @for (tab of own.tabs; track $index) {
        <rect
          [attr.x]="tab.x"
          [attr.y]="tab.y"
          [attr.width]="tabSize"
          [attr.height]="tabSize + 4"
          class="fill-now stroke-ink"
          stroke-width="2"
        />
        <text
          [attr.x]="tab.x + tabSize / 2"
          [attr.y]="tab.y - 6"
          text-anchor="middle"
          class="fill-ink text-[17px]"
        >
          {{ tab.word }}
        </text>
      }
      @if (own.roll; as roll) {
        <rect
          [attr.x]="own.left - 8"
          [attr.y]="roll - 9"
          [attr.width]="own.width + 16"
          height="18"
          rx="9"
          class="fill-paper stroke-ink"
          stroke-width="2.5"
        />
        <path
          [attr.d]="'M' + (own.left - 18) + ' ' + roll + 'v-54m-8 10l8 -10l8 10'"
          fill="none"
          class="stroke-ink"
          stroke-width="3"
        />
      }
      @for (person of own.people; track person.number) {
        <circle
          [attr.cx]="person.x"
          [attr.cy]="person.y"
          r="21"
          class="fill-paper stroke-ink"
          stroke-width="3"
        />
        <text
          [attr.x]="person.x"
          [attr.y]="person.y + 8"
          text-anchor="middle"
          class="fill-ink font-bold text-[23px]"
        >
          {{ person.number }}
        </text>
      }
    </svg>
  `,
  host: { class: 'block' },
})
export class LinerPicture {
  protected readonly tabSize = TAB;
  readonly plan = input.required<LinerPlan>();
  readonly says = input.required<string>();
  protected readonly drawn = computed(() => {
    const { width_mm, height_mm, parts, tabs, people, isRolledUp } = this.plan();
    const sheet = sheetFor({ wide: width_mm, high: height_mm });
    const [wide, high] = [sheet.wide - 2 * ROOM - BESIDE, sheet.high - 2 * ROOM - FEET - 40];
    const scale = Math.min(wide / Math.max(1, width_mm), high / Math.max(1, height_mm));
    const left = (sheet.wide - width_mm * scale) / 2;
    const top = ROOM + 40;
    const at = ({ x, y }: LinerSpot): LinerSpot => ({
      x: left + x * scale,
      y: top + (height_mm - y) * scale,
    });
    const middle = left + (width_mm * scale) / 2;
    return {
      sheet,
      left,
      top,
      width: width_mm * scale,
      height: height_mm * scale,
      parts: parts.map(({ number, from_mm, to_mm }) => {
        const [from, to] = [at({ x: 0, y: from_mm }).y, at({ x: 0, y: to_mm }).y];
        const way = Math.sign(to - from);
        return {
          number,
          top: Math.min(from, to),
          height: Math.abs(to - from),
          arrow: `M${middle} ${from + way * 6}L${middle} ${to - way * 6}m-9 ${-way * 12}l9 ${way * 12}l9 ${-way * 12}`,
          label: { x: middle + 34, y: (from + to) / 2 },
        };
      }),
      tabs: tabs.flatMap(({ corner, liner }) => {
        const inwards = corner === 'upper left' ? 1 : -1;
        const x = at(liner).x - TAB / 2;
        return [
          { x, y: top - TAB, word: linerWords.tabLiner },
          { x: x + inwards * (TAB + 6), y: top - TAB, word: linerWords.tabFilm },
        ];
      }),
      roll: isRolledUp ? top + height_mm * scale : undefined,
      people: people.map(({ number, at: { x } }) => ({
        number,
        x: left + x * scale,
        y: top + height_mm * scale + FEET / 2 + 8,
      })),
    };
  });
}
