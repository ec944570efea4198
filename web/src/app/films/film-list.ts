import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { FilmRow } from '@yellow-pane/contracts';
import { type FilmFamily, FAMILY_NAMES, FILM_FAMILIES } from '@yellow-pane/core/job';
import { formatLengthWithUnit, formatTemperature } from '@yellow-pane/core/quantity';
import { Device } from '../device/device';
import { SheetOfFilm } from './sheet-of-film';
import { FilmSwatch } from '../stops/film/film-swatch';
import { catalogueWords } from '../words/catalogue';

/** The catalogue by family: searched, and each film with what decides for its kind. */
@Component({
  selector: 'yp-film-list',
  imports: [FilmSwatch, SheetOfFilm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="flex flex-wrap gap-4 mt-4">
      <label class="flex-1 min-w-56 max-w-sm"
        ><span class="block text-sm text-faint">{{ words.findFilm }}</span
        ><input
          class="field"
          type="search"
          [value]="sought()"
          (input)="sought.set($any($event.target).value)"
      /></label>
      <label
        ><span class="block text-sm text-faint">{{ words.family }}</span
        ><select class="field" (change)="family.set($any($event.target).value)">
          <option value="">{{ words.allFamilies }}</option>
          @for (own of families(); track own) {
            <option [value]="own">{{ own }}</option>
          }
        </select></label
      >
    </div>
    @if (groups().length === 0) {
      <p class="mt-4" role="status">{{ words.noFilmHas(sought()) }}</p>
    }
    @for (group of groups(); track group.family) {
      <section class="mt-5" [attr.aria-label]="group.family">
        <h2 class="text-xl border-b border-ink pb-1 capitalize">{{ group.family }}</h2>
        <table class="w-full text-left">
          <thead class="text-sm text-faint max-md:sr-only">
            <tr>
              <th scope="col" class="font-normal">
                <span class="sr-only">{{ words.darkness }}</span>
              </th>
              <th scope="col" class="font-normal">{{ words.film }}</th>
              @if (group.isForGlass) {
                <th scope="col" class="font-normal text-right pl-5">{{ words.lightKept }}</th>
                <th scope="col" class="font-normal text-right pl-5">{{ words.sunKept }}</th>
              } @else {
                <th scope="col" class="font-normal pl-5" colspan="2">{{ words.whatDecides }}</th>
              }
              <th scope="col" class="font-normal text-right pl-5">{{ words.thickness }}</th>
              <th scope="col" class="font-normal pl-6">{{ words.rolls }}</th>
            </tr>
          </thead>
          <tbody>
            @for (film of group.films; track film.row.id) {
              <tr class="border-b border-line">
                <td class="py-1 pr-3 align-top">
                  <yp-film-swatch [visibleTransmitted]="film.row.visibleTransmitted" [looks]="film.row" />
                </td>
                <th scope="row" class="font-normal py-1">
                  <span class="font-semibold">{{ film.row.name }}</span><span class="text-faint ml-2">{{
                    film.row.invented ? words.isInvented : ''
                  }}</span
                  ><span class="block text-sm text-faint">{{ film.row.use }}</span
                  ><span class="block text-sm md:hidden">{{ film.inShort }}</span>
                  <yp-sheet-of-film [film]="film.row" />
                </th>
                @if (group.isForGlass) {
                  <td class="figure text-right pl-5 max-md:hidden">{{ film.light }}</td>
                  <td class="figure text-right pl-5 max-md:hidden">{{ film.sun }}</td>
                } @else {
                  <td class="pl-5 text-sm max-md:hidden" colspan="2">{{ film.decides }}</td>
                }
                <td class="figure text-right whitespace-nowrap pl-5 max-md:hidden">{{ film.thickness }}</td>
                <td class="figure text-sm pl-6 max-md:hidden">{{ film.widths }}</td>
              </tr>
            }
          </tbody>
        </table>
      </section>
    }
  `,
  host: { class: 'block' },
})
export class FilmList {
  protected readonly words = catalogueWords;
  readonly films = input.required<readonly FilmRow[]>();
  readonly #units = inject(Device).units;
  protected readonly sought = signal('');
  protected readonly family = signal<FilmFamily | ''>('');

  protected readonly families = computed(() =>
    FAMILY_NAMES.filter((name) => this.films().some(({ family }) => family === name)),
  );
  protected readonly groups = computed(() => {
    const sought = this.sought().trim().toLowerCase();
    const found = this.films().filter(({ name, family, use, handling }) =>
      [name, family, use, handling].join(' ').toLowerCase().includes(sought),
    );
    return this.families()
      .filter((name) => this.family() === '' || this.family() === name)
      .map((family) => ({
        family,
        isForGlass: FILM_FAMILIES[family].isForGlass,
        films: found.filter((film) => film.family === family).map((film) => this.#shown(film)),
      }))
      .filter(({ films }) => films.length > 0);
  });

  #shown(row: FilmRow) {
    const [light, sun] = [percent(row.visibleTransmitted), percent(row.solarTransmitted)];
    const widths = row.widths_nm.map((width) => this.#length(width)).join(' · ');
    const thickness = catalogueWords.micrometres(row.thickness_um);
    const decides = this.#decides(row);
    const first = FILM_FAMILIES[row.family].isForGlass ? catalogueWords.lightAndSun(light, sun) : decides;
    return { row, light, sun, widths, thickness, decides, inShort: `${first}. ${thickness}; ${widths}` };
  }

  /** Of a film that is not looked through: what it is made of, how it lies and how it is laid. */
  #decides({ direction, repeat_nm, construction, laying, postHeat_C }: FilmRow): string {
    return [
      direction === 'none' ? catalogueWords.anyWay : direction,
      repeat_nm === null ? '' : catalogueWords.repeatsEvery(this.#length(repeat_nm)),
      construction ?? catalogueWords.materialNotSaid,
      catalogueWords.laidSo(laying),
      postHeat_C === null ? '' : catalogueWords.postHeatedTo(formatTemperature(postHeat_C, this.#units())),
    ]
      .filter((part) => part !== '')
      .join(', ');
  }

  #length(value_nm: number): string {
    return formatLengthWithUnit(value_nm, this.#units());
  }
}

function percent(share: number | null): string {
  return share === null ? 'unknown' : `${Math.round(share * 100)} %`;
}
