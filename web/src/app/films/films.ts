import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { FilmRow } from '@yellow-pane/contracts';
import type { Film } from '@yellow-pane/core/job';
import { formatLengthWithUnit, parseLength } from '@yellow-pane/core/quantity';
import { Catalogue } from '../catalogue/catalogue';
import { Device } from '../device/device';
import { GeneralCommands } from '../shell/general-commands';
import { FilmSwatch } from '../stops/film/film-swatch';

const FAMILIES: readonly Film['family'][] = ['solar', 'frosted', 'security', 'decor', 'textured wall', 'wrap', 'exterior protection'];
const DIRECTIONS: readonly Film['direction'][] = ['none', 'along the roll', 'one way'];

/** The film catalogue: what there is, and adding one's own from its data sheet. */
@Component({
  selector: 'yp-films',
  imports: [RouterLink, FilmSwatch],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './films.html',
})
export class Films {
  protected readonly catalogue = inject(Catalogue);
  readonly #units = inject(Device).units;
  protected readonly families = FAMILIES;
  protected readonly directions = DIRECTIONS;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly added = signal<string | undefined>(undefined);

  constructor() {
    void this.catalogue.load();
    inject(GeneralCommands).offer();
  }

  protected widths(film: FilmRow): string {
    return film.widths_nm.map((width) => formatLengthWithUnit(width, this.#units())).join(' · ');
  }

  protected percent(share: number | null): string {
    return share === null ? 'unknown' : `${Math.round(share * 100)} %`;
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const form = event.target as HTMLFormElement;
    const read = readForm(new FormData(form));
    this.added.set(undefined);
    this.fault.set(typeof read === 'string' ? read : undefined);
    if (typeof read === 'string') return;
    const objection = await this.catalogue.add(read);
    this.fault.set(objection);
    if (objection !== undefined) return;
    this.added.set(read.name);
    form.reset();
  }
}

/** The form as a film, or the sentence that says which field is wrong. */
function readForm(data: FormData): Film | string {
  const text = (name: string): string => {
    const value = data.get(name);
    return typeof value === 'string' ? value.trim() : '';
  };
  const percent = (name: string, word: string): number | null | string => {
    if (text(name) === '') return null;
    const value = Number(text(name).replace(',', '.').replace('%', ''));
    return Number.isFinite(value) && value >= 0 && value <= 100 ? value / 100 : `${word}: expected 0 to 100 %, got “${text(name)}”.`;
  };
  if (text('name') === '') return 'Name: expected the name on the data sheet, got nothing.';
  const thickness_um = Number(text('thickness').replace(',', '.'));
  if (!(thickness_um > 0 && thickness_um <= 10_000)) return `Thickness: expected more than 0 to 10000 µm, got “${text('thickness')}”.`;
  const widths_nm: number[] = [];
  for (const part of text('widths').split(/[;\n]|,\s/).map((one) => one.trim()).filter((one) => one !== '')) {
    const parsed = parseLength(part, 'mm');
    if (parsed.kind === 'unreadable' || parsed.value_nm > 5e9) return `Roll widths: expected widths up to 5 m with semicolons between, such as 1220; 1524 or 60 in; 72 in, got “${part}”.`;
    widths_nm.push(parsed.value_nm);
  }
  if (widths_nm.length === 0) return 'Roll widths: expected at least one width, got nothing.';
  const shares = [percent('light', 'Light kept'), percent('solar', 'Sun kept'), percent('uv', 'Ultraviolet kept')] as const;
  const wrong = shares.find((share) => typeof share === 'string');
  if (typeof wrong === 'string') return wrong;
  const [visibleTransmitted, solarTransmitted, uvTransmitted] = shares as readonly [number | null, number | null, number | null];
  return {
    name: text('name'), family: text('family') as Film['family'], use: text('use'), thickness_um, direction: text('direction') as Film['direction'], referenceGlass: text('reference'),
    uvTransmitted, visibleTransmitted, visibleReflectedRoom: null, visibleReflectedOutside: null, solarTransmitted, solarReflected: null, emissivity: null, workMin_C: null, workMax_C: null,
    handling: text('handling'), invented: false, widths_nm,
  };
}
