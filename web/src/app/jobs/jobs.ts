import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import type { JobSummary, VisitOfJob } from '@yellow-pane/contracts';
import { Drafts } from '../device/drafts';
import { api } from '../server/api';
import { Commands } from '../shell/commands';
import { CommandKeys } from '../shell/command-keys';
import { GeneralCommands } from '../shell/general-commands';
import { jobsWords } from '../words/jobs';
import { ArchiveIn } from './archive-in';
import { ElevationStrip } from './elevation-strip';
import { JobList } from './job-list';
import { nextWord } from './job-words';
import { VisitsOfAll } from './visits-of-all';
import { WaitsOfAll } from './waits-of-all';

/** All jobs, each with a strip of its surfaces and what to do next. */
@Component({
  selector: 'yp-jobs',
  imports: [ArchiveIn, RouterLink, ElevationStrip, VisitsOfAll, WaitsOfAll],
  providers: [JobList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './jobs.html',
})
export class Jobs {
  protected readonly words = jobsWords;
  protected readonly list = inject(JobList);
  protected readonly keys = inject(CommandKeys);
  readonly #router = inject(Router);
  readonly #drafts = inject(Drafts);
  /** Kept while typing, so that a reload or a server that is away loses nothing. */
  protected readonly newName = computed(() => this.#drafts.texts()['new job'] ?? '');
  protected readonly renamingId = signal<string | undefined>(undefined);
  protected readonly hasArchived = signal(false);
  protected readonly nameFault = signal<string | undefined>(undefined);
  protected readonly shown = computed(() =>
    this.list
      .jobs()
      .filter(({ archived }) => archived === this.hasArchived())
      .map((job) => ({ job, next: nextWord(job) })),
  );
  protected readonly archivedCount = computed(
    () => this.list.jobs().filter(({ archived }) => archived).length,
  );
  protected readonly lastDone = computed(() => this.list.undo().at(-1)?.label);

  protected readonly visits = signal<readonly VisitOfJob[]>([]);
  /** Put away although somebody has to come back: said first. */
  protected readonly asked = signal<{ readonly job: JobSummary; readonly says: string } | undefined>(
    undefined,
  );

  constructor() {
    void this.list.load();
    api.visits().then(
      (visits) => {
        this.visits.set(visits);
      },
      () => undefined,
    );
    inject(GeneralCommands).offer();
    inject(Commands).offer([
      {
        id: 'new-job',
        word: jobsWords.newJob,
        keys: 'Alt+N',
        run: () => {
          document.getElementById('new-job')?.focus();
        },
      },
      {
        id: 'undo',
        word: jobsWords.undo,
        keys: 'Ctrl+Z',
        canRun: () => this.lastDone() !== undefined,
        run: () => {
          void this.list.undoLast();
        },
      },
    ]);
  }

  protected archive(job: JobSummary): void {
    const open = this.visits().filter(({ jobId }) => jobId === job.id);
    if (job.archived || open.length === 0) void this.list.archive(job, !job.archived);
    else
      this.asked.set({
        job,
        says: jobsWords.stillOpen(job.name, open.flatMap(({ says }) => says).join('; ')),
      });
  }

  protected archiveAnyway(job: JobSummary): void {
    this.asked.set(undefined);
    void this.list.archive(job, true);
  }

  protected typeName(text: string): void {
    this.#drafts.type('new job', text);
  }

  protected async make(event: Event): Promise<void> {
    event.preventDefault();
    const name = this.newName().trim();
    this.nameFault.set(name === '' ? jobsWords.typeJobName : undefined);
    if (name === '') return;
    const id = await this.list.make(name);
    if (id === undefined) return;
    this.#drafts.forget('new job');
    await this.#router.navigate(['/jobs', id, 'survey']);
  }

  protected async rename(job: JobSummary, field: { readonly value: string }): Promise<void> {
    if (this.renamingId() !== job.id) return;
    this.renamingId.set(undefined);
    const name = field.value.trim();
    if (name !== '' && name !== job.name) await this.list.rename(job, name);
  }

  protected startRename(job: JobSummary): void {
    this.renamingId.set(job.id);
    setTimeout(() => {
      document.getElementById('rename')?.focus();
    });
  }
}
