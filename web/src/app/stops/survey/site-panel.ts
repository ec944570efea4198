import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  type GlassPane,
  NEW_PANE,
  NEW_PLACE,
  NO_SITE_FACTS,
  NO_WALL_FACTS,
  type RowOf,
  isGlass,
  isWall,
} from '@yellow-pane/core/job';
import { JobDesk } from '../../job/job-desk';
import { BelongsTo } from './belongs-to';
import { ConsentGiven } from './consent-given';
import { GroundJudgedHere } from './ground-judged';
import { ClimatePanel } from './climate-panel';
import { horizonOf, skylineFault } from './skyline-lines';
import { JobReading } from '../../job/job-reading';
import { CompassDial } from '../../ui/compass-dial';
import { type FactChange, Facts } from '../../fields/facts';
import { KeptField, type Typed } from '../../fields/kept-field';
import { newId } from '../../device/session';
import {
  BODY_FACTS,
  PANE_FACTS,
  PLACE_FACTS,
  SITE_FACTS,
  UNIT_FACTS,
  WALL_FACTS,
} from '../../words/facts-asked';
import { surveyWords } from '../../words/survey';

/** Where the surface is, what it is made of, and what stands in the way. */
@Component({
  selector: 'yp-site-panel',
  imports: [ClimatePanel, KeptField, Facts, CompassDial, BelongsTo, ConsentGiven, GroundJudgedHere],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let here = surface();
    @if (!isGlass()) {
      <details open class="border-t border-line pt-2">
        <summary class="font-bold min-h-10 cursor-pointer">
          {{ isWall() ? words.wall : words.whatItIsMadeOf }}
        </summary>
        <yp-facts
          [prefix]="'wall:' + here.id + ':'"
          [facts]="isWall() ? wallFacts : bodyFacts"
          [values]="wall() ?? noWall"
          [entryUnit]="unit()"
          (changed)="setWall($event)"
        />
        <yp-ground-judged [surface]="here" />
      </details>
    }
    @if (isGlass()) {
      <details class="border-t border-line pt-2">
        <summary class="font-bold min-h-10 cursor-pointer">
          {{ words.glassIs(glass()?.name ?? words.unknown) }}
        </summary>
        <yp-belongs-to [surface]="here" to="glass" />
        @if (glass(); as unit) {
          <p class="text-sm mb-2">
            {{ sharedBy() }} {{ sharedBy() === 1 ? words.surfaceHas : words.surfacesHave }}
            {{ words.thisMakeUp }}
          </p>
          <yp-facts
            [prefix]="'unit:' + unit.id + ':'"
            [facts]="unitFacts"
            [values]="unit"
            [entryUnit]="this.unit()"
            (changed)="setUnit($event)"
          />
          @for (pane of panes(); track pane.id) {
            <h3 class="font-semibold mt-3">
              {{ words.pane }} {{ pane.position }}{{ pane.position === 1 ? words.countedFromOutside : '' }}
            </h3>
            <yp-facts
              [prefix]="'pane:' + pane.id + ':'"
              [facts]="paneFacts"
              [values]="pane"
              [entryUnit]="this.unit()"
              (changed)="setPane(pane, $event)"
            />
          }
          <div class="flex flex-wrap gap-2 mt-3">
            <button type="button" class="act act-small" (click)="addPane()">{{ words.addPane }}</button>
            @if (panes().length > 0) {
              <button type="button" class="act act-small" (click)="dropPane()">
                {{ words.takeLastPaneOff }}
              </button>
            }
          </div>
        }
        <button type="button" class="act act-small mt-2" (click)="newUnit()">
          {{ glass() ? words.ownMakeUp : words.noteMakeUp }}
        </button>
      </details>
    }
    <details class="border-t border-line pt-2">
      <summary class="font-bold min-h-10 cursor-pointer">{{ words.accessFaceShade }}</summary>
      <yp-facts
        [prefix]="'site:' + here.id + ':'"
        [facts]="siteFacts"
        [values]="site() ?? noSite"
        [entryUnit]="unit()"
        (changed)="setSite($event)"
      />
      @if (site()?.rescueGlass === 'yes') {
        <yp-consent-given [surface]="here" />
      }
    </details>
    <details class="border-t border-line pt-2">
      <summary class="font-bold min-h-10 cursor-pointer">
        {{ words.placeCalled(place()?.name ?? '') }}
        @if (place()?.bearing_deg !== null) {
          , {{ place()?.bearing_deg }}°
        }
      </summary>
      <yp-belongs-to [surface]="here" to="place" />
      @if (place(); as at) {
        <div class="flex gap-3 items-center mb-2">
          <yp-compass-dial
            [label]="words.bearingOfFront"
            [bearing]="at.bearing_deg"
            [horizon]="at.horizon"
            (turned)="setPlace({ key: 'bearing_deg', value: $event, seen: at.version })"
          />
          <div>
            <yp-facts
              [prefix]="'bearing:' + at.id + ':'"
              [facts]="bearingFacts"
              [values]="at"
              (changed)="setPlace($event)"
            />
            @if (at.bearing_deg !== null) {
              <button
                type="button"
                class="act act-small act-quiet underline underline-offset-2"
                (click)="setPlace({ key: 'bearing_deg', value: null, seen: at.version })"
              >
                {{ words.notKnown }}
              </button>
            }
          </div>
        </div>
        <yp-facts
          [prefix]="'place:' + at.id + ':'"
          [facts]="placeFacts"
          [values]="at"
          (changed)="setPlace($event)"
        />
        <h3 class="font-semibold mt-3">{{ words.skylineInTheWay }}</h3>
        <p class="text-sm text-faint">
          {{ words.howToSightSkyline }}
        </p>
        <textarea
          class="field figure mt-1"
          rows="3"
          [attr.aria-label]="words.skylineAt(at.name)"
          [ypKept]="'skyline:' + at.id"
          [is]="skyline()"
          [version]="at.version"
          [faultOf]="skylineFault"
          #line="ypKept"
          (typed)="setSkyline($event)"
        ></textarea>
        @if (line.fault(); as says) {
          <p class="text-sm text-stop font-semibold">{{ says }}</p>
        }
        <yp-climate-panel [place]="at" />
        <button type="button" class="act act-small mt-2" (click)="newPlace()">
          {{ words.newPlaceUnderBuilding }}
        </button>
      }
    </details>
  `,
  host: { class: 'flex flex-col gap-2' },
})
export class SitePanel {
  protected readonly words = surveyWords;
  readonly #desk = inject(JobDesk);
  readonly #reading = inject(JobReading);
  readonly surface = input.required<RowOf<'surface'>>();
  protected readonly isGlass = computed(() => isGlass(this.surface()));
  protected readonly isWall = computed(() => isWall(this.surface()));
  protected readonly siteFacts = SITE_FACTS;
  protected readonly wallFacts = WALL_FACTS;
  protected readonly bodyFacts = BODY_FACTS;
  protected readonly unitFacts = [
    { key: 'name', kind: 'text' as const, word: surveyWords.called },
    ...UNIT_FACTS,
  ];
  protected readonly paneFacts = PANE_FACTS;
  protected readonly placeFacts = PLACE_FACTS;
  protected readonly bearingFacts = [
    {
      key: 'bearing_deg',
      kind: 'number' as const,
      word: surveyWords.bearing,
      unit: surveyWords.fromNorth,
      least: 0,
      most: 359.999,
    },
  ];
  protected readonly noSite = NO_SITE_FACTS;
  protected readonly noWall = NO_WALL_FACTS;
  protected readonly skylineFault = skylineFault;
  protected readonly unit = computed(() => this.#reading.job()?.entryUnit ?? 'mm');
  protected readonly site = computed(() => this.#reading.siteFactsOf(this.surface().id));
  protected readonly wall = computed(() => this.#reading.wallFactsOf(this.surface().id));
  protected readonly place = computed(() => this.#reading.placeById().get(this.surface().placeId));
  protected readonly glass = computed(() =>
    this.#reading.units().find(({ id }) => id === this.surface().unitId),
  );
  protected readonly panes = computed(() =>
    this.#reading.glassPanes().filter(({ unitId }) => unitId === this.glass()?.id),
  );
  protected readonly sharedBy = computed(
    () => this.#reading.surfaces().filter(({ unitId }) => unitId === this.glass()?.id).length,
  );
  protected readonly skyline = computed(() =>
    (this.place()?.horizon ?? [])
      .map(({ bearing_deg, elevation_deg }) => `${bearing_deg} ${elevation_deg}`)
      .join('\n'),
  );

  protected setSite({ key, value, seen }: FactChange): void {
    const row = this.site();
    const surface = this.surface();
    this.#desk.do(surveyWords.accessOf(surface.tag), [
      row === undefined
        ? this.#desk.put('siteFacts', { ...NO_SITE_FACTS, surfaceId: surface.id, [key]: value })
        : this.#desk.set('siteFacts', row.id, { [key]: value }, seen),
    ]);
  }

  protected setWall({ key, value, seen }: FactChange): void {
    const row = this.wall();
    const surface = this.surface();
    this.#desk.do(surveyWords.wallOf(surface.tag), [
      row === undefined
        ? this.#desk.put('wallFacts', { ...NO_WALL_FACTS, surfaceId: surface.id, [key]: value })
        : this.#desk.set('wallFacts', row.id, { [key]: value }, seen),
    ]);
  }

  protected setUnit({ key, value, seen }: FactChange): void {
    const unit = this.glass();
    if (unit !== undefined && !(key === 'name' && value === ''))
      this.#desk.do(surveyWords.glazingOf(unit.name), [
        this.#desk.set('glassUnit', unit.id, { [key]: value }, seen),
      ]);
  }

  protected setPane(pane: RowOf<'glassPane'>, { key, value, seen }: FactChange): void {
    this.#desk.do(surveyWords.paneOf(this.glass()?.name ?? '', pane.position), [
      this.#desk.set('glassPane', pane.id, { [key]: value }, seen),
    ]);
  }

  protected addPane(): void {
    const unit = this.glass();
    const fields: GlassPane = { ...NEW_PANE, unitId: unit?.id ?? '', position: this.panes().length + 1 };
    if (unit !== undefined && fields.position <= 6)
      this.#desk.do(surveyWords.paneAdded(unit.name), [this.#desk.put('glassPane', fields)]);
  }

  protected dropPane(): void {
    const last = this.panes().at(-1);
    if (last !== undefined)
      this.#desk.do(surveyWords.paneTakenOff(this.glass()?.name ?? ''), [
        this.#desk.remove('glassPane', last.id),
      ]);
  }

  protected newUnit(): void {
    const id = newId();
    const from = this.glass();
    const surface = this.surface();
    this.#desk.do(surveyWords.newMakeUp(surface.tag), [
      this.#desk.put(
        'glassUnit',
        {
          name: from === undefined ? surveyWords.glassOf(surface.tag) : `${from.name}, ${surface.tag}`,
          glazing: from?.glazing ?? 'unknown',
          frame: from?.frame ?? 'unknown',
          edge: from?.edge ?? 'unknown',
          edgeFinish: from?.edgeFinish ?? 'unseen',
          edgeDepth_nm: from?.edgeDepth_nm ?? null,
        },
        id,
      ),
      ...this.panes().map(
        ({ position, treatment, thickness_nm, tint, coating, coatedSide, gapAfter_nm, gasAfter }) =>
          this.#desk.put('glassPane', {
            unitId: id,
            position,
            treatment,
            thickness_nm,
            tint,
            coating,
            coatedSide,
            gapAfter_nm,
            gasAfter,
          }),
      ),
      this.#desk.set('surface', surface.id, { unitId: id }),
    ]);
  }

  protected setPlace({ key, value, seen }: FactChange): void {
    const place = this.place();
    if (place !== undefined && !(key === 'name' && value === ''))
      this.#desk.do(`${place.name}: ${key === 'bearing_deg' ? 'bearing' : 'place'}`, [
        this.#desk.set('place', place.id, { [key]: value }, seen),
      ]);
  }

  protected setSkyline({ text, seen }: Typed): void {
    const place = this.place();
    if (place !== undefined)
      this.#desk.do(surveyWords.skylineOf(place.name), [
        this.#desk.set(
          'place',
          place.id,
          { horizon: horizonOf(text).sort((a, b) => a.bearing_deg - b.bearing_deg) },
          seen,
        ),
      ]);
  }

  protected newPlace(): void {
    const place = this.place();
    if (place === undefined) return;
    const id = newId();
    this.#desk.do(surveyWords.newPlace, [
      this.#desk.put(
        'place',
        {
          ...NEW_PLACE,
          parentId: place.parentId ?? place.id,
          kind: place.kind === 'vehicle' || place.kind === 'side' ? 'side' : 'facade',
          name: surveyWords.newPlace,
          movable: place.movable,
          position: this.#reading.places().length + 1,
        },
        id,
      ),
      this.#desk.set('surface', this.surface().id, { placeId: id }),
    ]);
  }
}
