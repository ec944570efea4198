import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { CaseApartRow } from '@yellow-pane/contracts';
import { causeWords } from '@yellow-pane/contracts/words';
import { TABLE_VERSION } from '@yellow-pane/core/diagnosing';
import { type CaseApart, DIAGNOSED_LOOKS, type DiagnosedLook } from '@yellow-pane/core/job';
import { causeApart } from '@yellow-pane/core/reading';
import { ExperienceBook } from '../catalogue/experience-book';
import { newId } from '../device/session';
import { GeneralCommands } from '../shell/general-commands';
import { causesWords } from '../words/causes';
import { CalibrationHere } from './calibration-here';
import { CallCard } from './call-card';
import { CauseForm, type CauseSaid } from './cause-form';

interface Open {
  readonly id: string;
  readonly version: number | undefined;
  readonly case: CaseApart;
}

const NOTHING_SAID: Omit<CaseApart, 'look'> = {
  ...{ where: '', answers: [], tableVersion: TABLE_VERSION },
  ...{ posterior: null, confirmed: null, how: null, remedy: null },
};

/** What is kept of a case, without who kept it and when. */
const caseOf = ({
  look,
  where,
  answers,
  tableVersion,
  posterior,
  confirmed,
  how,
  remedy,
}: CaseApartRow): CaseApart => ({
  ...{ look, where, answers, tableVersion, posterior, confirmed, how, remedy },
});

/** Why something is there that is in no job, the card for the phone, and whether certainty was deserved. */
@Component({
  selector: 'yp-why-page',
  imports: [CalibrationHere, CallCard, CauseForm, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './why-page.html',
})
export class WhyPage {
  protected readonly words = causesWords;
  protected readonly looks = DIAGNOSED_LOOKS;
  readonly #book = inject(ExperienceBook);
  protected readonly open = signal<Open | undefined>(undefined);
  protected readonly says = signal('');
  protected readonly here = computed(() => {
    const own = this.open();
    return own === undefined
      ? undefined
      : causeApart(own.case.look, { id: own.id, ...own.case }, this.#book.known()?.cases ?? []);
  });
  protected readonly kept = computed(() =>
    this.#book.apart().map((row) => ({
      row,
      says: causesWords.caseIs(
        causesWords.look(row.look),
        row.where,
        row.confirmed === null ? '' : causeWords(row.confirmed),
      ),
    })),
  );

  constructor() {
    inject(GeneralCommands).offer();
    void this.#book.load();
    void this.#book.loadApart();
  }

  protected pick(look: DiagnosedLook): void {
    this.says.set('');
    this.open.set({ id: newId(), version: undefined, case: { ...NOTHING_SAID, look } });
  }

  protected openKept(row: CaseApartRow): void {
    this.says.set('');
    this.open.set({ id: row.id, version: row.version, case: caseOf(row) });
  }

  protected change(said: CauseSaid | Pick<CaseApart, 'where'>): void {
    this.open.update((own) => (own === undefined ? undefined : { ...own, case: { ...own.case, ...said } }));
  }

  protected async keep(): Promise<void> {
    const own = this.open();
    if (own === undefined) return;
    const fault = await this.#book.keep(own.case, own);
    this.says.set(fault ?? causesWords.caseKept);
    if (fault === undefined) this.open.update((now) => this.#asKept(now));
  }

  protected async takeOut(row: CaseApartRow): Promise<void> {
    const { id, version } = row;
    this.says.set((await this.#book.keep(caseOf(row), { id, version, removed: true })) ?? '');
    if (this.open()?.id === id) this.open.set(undefined);
  }

  /** The next change is made to what the server keeps now. */
  #asKept(own: Open | undefined): Open | undefined {
    const row = this.#book.apart().find(({ id }) => id === own?.id);
    return own === undefined ? undefined : { ...own, version: row?.version ?? own.version };
  }
}
