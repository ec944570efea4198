import { Injectable, computed, inject } from '@angular/core';
import type { RowOf } from '@yellow-pane/core/job';
import type { SurfaceCheck } from '@yellow-pane/core/measure';
import { JobView, briefFor, checkOf, determinedWithin_mm } from '@yellow-pane/core/reading';
import { Catalogue } from '../catalogue/catalogue';
import { ExperienceBook } from '../catalogue/experience-book';
import { People } from '../catalogue/people';
import { LearnedFigures } from '../catalogue/learned-figures';
import { JobDesk } from './job-desk';
import { jobRowsOf } from './tables';

/** The rows of the open job as core is asked about them. What a question needs stands in core's `reading`. */
@Injectable({ providedIn: 'root' })
export class JobReading {
  readonly #tables = inject(JobDesk).view;
  readonly #catalogue = inject(Catalogue);
  readonly #learned = inject(LearnedFigures);
  readonly #people = inject(People);
  readonly #experience = inject(ExperienceBook);
  #before: JobView | undefined;

  readonly view = computed(() => {
    const experience = this.#experience.known();
    const shop = {
      ...(experience === undefined ? {} : { experience }),
      films: this.#catalogue.films(),
      learned: this.#learned.figures(),
      people: this.#people.people(),
    };
    this.#before = new JobView(jobRowsOf(this.#tables()), shop, this.#before);
    return this.#before;
  });

  readonly job = computed(() => this.view().job);
  readonly places = computed(() => this.view().places);
  readonly placeById = computed(() => this.view().placeById);
  readonly units = computed(() => this.view().rows.glassUnit);
  readonly glassPanes = computed(() => this.view().glassPanes);
  readonly surfaces = computed(() => this.view().surfaces);
  readonly surfaceById = computed(() => this.view().surfaceById);
  readonly applications = computed(() => this.view().applications);
  readonly plans = computed(() => this.view().plans);
  readonly cutRolls = computed(() => this.view().cutRolls);
  readonly daySettings = computed(() => this.view().rows.daySettings);
  readonly crew = computed(() => this.view().crew);
  readonly plannedSteps = computed(() => this.view().rows.plannedStep);
  readonly takes = computed(() => this.view().rows.stockTake);
  readonly offcuts = computed(() => this.view().rows.offcut);
  readonly determinedWithin_mm = computed(() => determinedWithin_mm(this.#learned.figures()));

  measuresOf(surfaceId: string): readonly RowOf<'measure'>[] {
    return this.view().measuresOf(surfaceId);
  }

  partsOf(surfaceId: string): readonly RowOf<'part'>[] {
    return this.view().partsOf(surfaceId);
  }

  photosOf(surfaceId: string): readonly RowOf<'photo'>[] {
    return this.view().photosOf(surfaceId);
  }

  siteFactsOf(surfaceId: string): RowOf<'siteFacts'> | undefined {
    return this.view().siteFactsOf(surfaceId);
  }

  wallFactsOf(surfaceId: string): RowOf<'wallFacts'> | undefined {
    return this.view().wallFactsOf(surfaceId);
  }

  briefFor(surface: Pick<RowOf<'surface'>, 'placeId'>): RowOf<'filmBrief'> | undefined {
    return briefFor(this.view(), surface);
  }

  repeatsOf(surfaceId: string): readonly RowOf<'surface'>[] {
    return this.view().repeatsOf(surfaceId);
  }

  applicationsOf(surfaceId: string): readonly RowOf<'application'>[] {
    return this.view().applicationsOf(surfaceId);
  }

  seamChoiceOf(applicationId: string): RowOf<'seamChoice'> | undefined {
    return this.view().seamChoiceOf(applicationId);
  }

  jobAllowanceOf(method: string): RowOf<'jobAllowance'> | undefined {
    return this.view().allowanceOf(method);
  }

  rollsOf(planId: string): readonly RowOf<'cutRoll'>[] {
    return this.view().rollsOf(planId);
  }

  piecesOf(planId: string): readonly RowOf<'cutPiece'>[] {
    return this.view().piecesOf(planId);
  }

  workOf(applicationId: string): readonly RowOf<'workRecord'>[] {
    return this.view().workOf(applicationId);
  }

  isHandedOver(applicationId: string): boolean {
    return this.view().isHandedOver(applicationId);
  }

  checkOf(surfaceId: string): SurfaceCheck {
    return checkOf(this.view(), surfaceId);
  }
}
