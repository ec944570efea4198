import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { SightLine, SightLines } from '@yellow-pane/core/choosing';
import { SCENES_SOURCE } from '@yellow-pane/core/privacy';
import { filmWords } from '../../words/film';
import { Choosing } from './choosing';
import { sightWord } from './film-words';
import { patternDrawing, sceneLight } from './scene-light';

const PANE = { x: 170, y: 40, width: 300, height: 330 };
const USUAL_WIDTH_MM = 1200;
/** How wide a sharp edge close behind frost is smeared, mm. */
const SMEAR_MM = 130;

/**
 * One drawn scene, from the street and from the room, by day and by night, lit by the computed luminances;
 * film on the left of the slider, none on the right.
 */
@Component({
  selector: 'yp-preview-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (light(); as shine) {
      <div class="flex flex-wrap gap-2 px-5 pt-2" role="group" [attr.aria-label]="words.whereFromAndWhen">
        @for (side of sides(); track side.value) {
          <button
            type="button"
            class="act act-small"
            [attr.aria-pressed]="from() === side.value"
            [class.!bg-ink]="from() === side.value"
            [class.!text-paper]="from() === side.value"
            (click)="from.set(side.value)"
          >
            {{ side.word }}
          </button>
        }
        @for (time of times(); track time.value) {
          <button
            type="button"
            class="act act-small"
            [attr.aria-pressed]="when() === time.value"
            [class.!bg-ink]="when() === time.value"
            [class.!text-paper]="when() === time.value"
            (click)="when.set(time.value)"
          >
            {{ time.word }}
          </button>
        }
      </div>
      <svg viewBox="0 0 640 400" class="flex-1 min-h-0 w-full" role="img" [attr.aria-label]="sentence()">
        <defs>
          @for (glass of filters(); track glass.id) {
            <filter
              [attr.id]="glass.id"
              x="0"
              y="0"
              width="1"
              height="1"
              color-interpolation-filters="linearRGB"
            >
              <feGaussianBlur
                in="SourceGraphic"
                [attr.stdDeviation]="smear()"
                edgeMode="duplicate"
                result="smeared"
              />
              <feComponentTransfer in="smeared" result="scattered">
                <feFuncR type="linear" [attr.slope]="glass.of.blurred" intercept="0" />
                <feFuncG type="linear" [attr.slope]="glass.of.blurred" intercept="0" />
                <feFuncB type="linear" [attr.slope]="glass.of.blurred" intercept="0" />
              </feComponentTransfer>
              <feComponentTransfer in="SourceGraphic" result="straight">
                <feFuncR type="linear" [attr.slope]="glass.of.straight" [attr.intercept]="glass.of.veil" />
                <feFuncG type="linear" [attr.slope]="glass.of.straight" [attr.intercept]="glass.of.veil" />
                <feFuncB type="linear" [attr.slope]="glass.of.straight" [attr.intercept]="glass.of.veil" />
              </feComponentTransfer>
              <feComposite in="straight" in2="scattered" operator="arithmetic" k1="0" k2="1" k3="1" k4="0" />
            </filter>
          }
          <clipPath id="pane-left">
            <rect [attr.x]="pane.x" [attr.y]="pane.y" [attr.width]="split()" [attr.height]="pane.height" />
          </clipPath>
          <clipPath id="pane-right">
            <rect
              [attr.x]="pane.x + split()"
              [attr.y]="pane.y"
              [attr.width]="pane.width - split()"
              [attr.height]="pane.height"
            />
          </clipPath>
          @if (pattern(); as tile) {
            <pattern
              id="openings"
              patternUnits="userSpaceOnUse"
              [attr.x]="pane.x"
              [attr.y]="pane.y"
              [attr.width]="tile.width"
              [attr.height]="tile.height"
            >
              <rect [attr.width]="tile.width" [attr.height]="tile.height" fill="black" />
              @if (tile.kind === 'dots') {
                <circle
                  [attr.cx]="tile.width / 2"
                  [attr.cy]="tile.height / 2"
                  [attr.r]="tile.opening / 2"
                  fill="white"
                />
              } @else {
                <rect
                  [attr.width]="tile.kind === 'rows' ? tile.width : tile.opening"
                  [attr.height]="tile.kind === 'rows' ? tile.opening : tile.height"
                  fill="white"
                />
                @if (tile.kind === 'grid') {
                  <rect [attr.width]="tile.width" [attr.height]="tile.opening" fill="white" />
                }
              }
            </pattern>
            <mask id="open-share">
              <rect
                [attr.x]="pane.x"
                [attr.y]="pane.y"
                [attr.width]="pane.width"
                [attr.height]="pane.height"
                fill="url(#openings)"
              />
            </mask>
          }
          <g id="behind">
            @if (looksIn()) {
              <rect
                [attr.x]="pane.x"
                [attr.y]="pane.y"
                [attr.width]="pane.width"
                [attr.height]="pane.height"
                fill="#a9a49a"
              />
              <rect
                [attr.x]="pane.x"
                [attr.y]="pane.y + 262"
                [attr.width]="pane.width"
                height="68"
                fill="#6f6557"
              />
              <path d="M205 40h-2v46h-16l-9 22h52l-9-22h-16z" fill="#f6efdc" />
              <rect x="372" y="92" width="66" height="48" fill="#4d6a70" />
              <rect x="378" y="98" width="54" height="36" fill="#dfe3da" />
              <rect x="190" y="300" width="120" height="9" fill="#3c3129" />
              <rect x="200" y="309" width="8" height="61" fill="#3c3129" />
              <rect x="292" y="309" width="8" height="61" fill="#3c3129" />
              <path d="M340 370c-4-64 0-112 18-128 8-7 38-7 46 0 18 16 22 64 18 128z" fill="#2c3d4a" />
              <ellipse cx="381" cy="206" rx="23" ry="29" fill="#c99b7a" />
              <path d="M357 200c0-40 48-40 48 0l-5-8c-14 2-28-2-34-8z" fill="#3a2a20" />
              <circle cx="373" cy="205" r="2.6" fill="#22201e" />
              <circle cx="389" cy="205" r="2.6" fill="#22201e" />
              <path d="M374 219q7 5 14 0" fill="none" stroke="#6d3d33" stroke-width="2.4" />
            } @else {
              <rect
                [attr.x]="pane.x"
                [attr.y]="pane.y"
                [attr.width]="pane.width"
                [attr.height]="pane.height"
                fill="#cfd8de"
              />
              <path d="M170 210l60-76 44 52 52-88 60 92 40-46 44 60v166H170z" fill="#8c969a" />
              <path d="M318 112l8-14 12 18-10 10z" fill="#ffffff" />
              <path d="M224 142l6-8 9 11-8 7z" fill="#ffffff" />
              <path d="M170 262c90-20 200-14 300 6v102H170z" fill="#7d8468" />
              <path d="M300 370l20-96h16l34 96z" fill="#b5ada0" />
              <path d="M236 330l16-52 16 52z" fill="#3f5140" />
              <path d="M252 340l14-40 14 40z" fill="#4a5d49" />
              <path d="M388 352c-3-36 0-62 10-70 5-4 21-4 26 0 10 8 13 34 10 70z" fill="#5c3430" />
              <ellipse cx="411" cy="262" rx="12" ry="15" fill="#c99b7a" />
              <circle cx="407" cy="261" r="1.6" fill="#22201e" />
              <circle cx="416" cy="261" r="1.6" fill="#22201e" />
            }
          </g>
        </defs>
        <rect width="640" height="400" [attr.fill]="grey(shine.surround * 0.9)" />
        <rect
          [attr.x]="pane.x - 12"
          [attr.y]="pane.y - 12"
          [attr.width]="pane.width + 24"
          [attr.height]="pane.height + 24"
          [attr.fill]="grey(shine.surround * 0.45)"
        />
        <g clip-path="url(#pane-right)"><use href="#behind" filter="url(#through-bare)" /></g>
        <g clip-path="url(#pane-left)">
          <use href="#behind" filter="url(#through-film)" />
          @if (pattern()) {
            <g mask="url(#open-share)"><use href="#behind" filter="url(#through-bare)" /></g>
          }
        </g>
        <line
          [attr.x1]="pane.x + split()"
          [attr.x2]="pane.x + split()"
          [attr.y1]="pane.y - 12"
          [attr.y2]="pane.y + pane.height + 12"
          stroke="#ffffff"
          stroke-width="3"
        />
        <line
          [attr.x1]="pane.x + split()"
          [attr.x2]="pane.x + split()"
          [attr.y1]="pane.y - 12"
          [attr.y2]="pane.y + pane.height + 12"
          stroke="#1b1d1d"
          stroke-width="1"
        />
        <g font-size="15" [attr.fill]="shine.surround > 0.2 ? '#1b1d1d' : '#f3f0e7'">
          <text [attr.x]="pane.x - 20" y="206" text-anchor="end">
            {{ share() > 2 ? words.withFilm : '' }}
          </text>
          <text [attr.x]="pane.x + pane.width + 20" y="206">{{ share() < 98 ? words.withoutIt : '' }}</text>
        </g>
      </svg>
      <div class="px-5 pb-3">
        <label class="flex items-center gap-3 font-semibold"
          >{{ words.filmOver }}
          <input
            type="range"
            class="flex-1 h-9 accent-ink border-0 bg-transparent"
            min="0"
            max="100"
            [value]="share()"
            [attr.aria-label]="words.shareWithFilm"
            (input)="share.set(+$any($event.target).value)"
          />
          {{ share() }} %</label
        >
        <p class="leading-snug mt-1">{{ sentence() }}</p>
        <p class="text-sm text-faint">
          {{ words.howDrawn(round(line()?.shown?.near_cdm2), round(line()?.shown?.far_cdm2), source) }}
        </p>
      </div>
    } @else {
      <p class="m-auto max-w-md p-6 text-center">
        {{ words.choosePreview }}
      </p>
    }
  `,
  host: { class: 'flex flex-col flex-1 min-h-0' },
})
export class PreviewView {
  protected readonly words = filmWords;
  readonly #choosing = inject(Choosing);
  readonly isPartition = input.required<boolean>();
  readonly width_mm = input.required<number | null>();
  protected readonly pane = PANE;
  protected readonly source = SCENES_SOURCE.text;
  protected readonly from = signal<'front' | 'back'>('front');
  protected readonly when = signal<'day' | 'night'>('day');
  protected readonly share = signal(60);
  protected readonly split = computed(() => (PANE.width * this.share()) / 100);
  protected readonly sides = computed(() =>
    this.isPartition()
      ? [
          { value: 'front' as const, word: filmWords.fromSideA },
          { value: 'back' as const, word: filmWords.fromSideB },
        ]
      : [
          { value: 'front' as const, word: filmWords.fromStreet },
          { value: 'back' as const, word: filmWords.fromRoom },
        ],
  );
  protected readonly times = computed(() =>
    this.isPartition()
      ? [
          { value: 'day' as const, word: filmWords.bothRoomsLit },
          { value: 'night' as const, word: filmWords.hereDark },
        ]
      : [
          { value: 'day' as const, word: filmWords.dayTime },
          { value: 'night' as const, word: filmWords.nightTime },
        ],
  );
  protected readonly looksIn = computed(() => this.from() === 'front' || this.isPartition());
  protected readonly line = computed(() => this.#lineOf(this.#choosing.answer()?.performance?.sight));
  protected readonly light = computed(() => {
    const [film, bare] = [this.line(), this.#lineOf(this.#choosing.answer()?.bareSight ?? undefined)];
    return film === undefined || bare === undefined ? undefined : sceneLight(film, bare);
  });
  protected readonly filters = computed(() => {
    const light = this.light();
    return light === undefined
      ? []
      : [
          { id: 'through-film', of: light.film },
          { id: 'through-bare', of: light.bare },
        ];
  });
  protected readonly smear = computed(() => (SMEAR_MM * PANE.width) / (this.width_mm() ?? USUAL_WIDTH_MM));
  protected readonly pattern = computed(() => {
    const film = this.#choosing.chosen();
    const drawing = film === undefined ? { kind: 'none' as const } : patternDrawing(film);
    if (film === undefined || drawing.kind === 'none') return undefined;
    const scale = PANE.width / (this.width_mm() ?? USUAL_WIDTH_MM);
    const [period, opening] = [drawing.period_mm * scale, drawing.opening_mm * scale];
    const isRows = drawing.kind === 'stripes' && film.direction === 'one way' && drawing.opening_mm > 100;
    return {
      kind: isRows ? 'rows' : drawing.kind,
      width: isRows ? PANE.width : period,
      height: isRows || drawing.kind !== 'stripes' ? period : PANE.height,
      opening,
    };
  });
  protected readonly sentence = computed(() => {
    const line = this.line();
    return line === undefined
      ? ''
      : filmWords.contrastLeft(
          this.#choosing.chosen()?.name ?? filmWords.film,
          line.scene,
          Math.round(line.kept * 100),
          sightWord(line),
        );
  });

  protected round(luminance: number | undefined): string {
    return luminance === undefined
      ? '?'
      : luminance < 10
        ? luminance.toFixed(1)
        : String(Math.round(luminance));
  }

  /** A grey of this linear light, as the screen wants it. */
  protected grey(linear: number): string {
    const bounded = Math.min(1, Math.max(0, linear));
    const value = Math.round(
      255 * (bounded <= 0.0031308 ? 12.92 * bounded : 1.055 * bounded ** (1 / 2.4) - 0.055),
    );
    return `rgb(${value} ${value} ${Math.round(value * 0.98)})`;
  }

  #lineOf(sight: SightLines | undefined): SightLine | undefined {
    if (sight === undefined) return undefined;
    const isDay = this.when() === 'day';
    return this.from() === 'front'
      ? isDay
        ? sight.inByDay
        : sight.inByNight
      : isDay
        ? sight.outByDay
        : sight.outByNight;
  }
}
