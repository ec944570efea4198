import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import type { JobSummary, NextHalfDay, Op } from '@yellow-pane/contracts';
import { roughMoney } from '@yellow-pane/contracts/words';
import { type Job, NEW_JOB } from '@yellow-pane/core/job';
import { type CalculatedQuote, USUAL_RISK, decimalsOf, inCurrency } from '@yellow-pane/core/quoting';
import { enquiredRows, enquiredView, quoteHere } from '@yellow-pane/core/reading';
import { DateTime } from 'luxon';
import { Catalogue } from '../catalogue/catalogue';
import { LearnedFigures } from '../catalogue/learned-figures';
import { Stock } from '../catalogue/stock';
import { Device } from '../device/device';
import { Drafts } from '../device/drafts';
import { newId, sessionOf } from '../device/session';
import { WhoseHand } from '../device/whose-hand';
import { ServerRefusal, api } from '../server/api';
import { GeneralCommands } from '../shell/general-commands';
import { CALL_FRONTS, CALL_KINDS, CALL_OLD_FILMS, callWords } from '../words/call';
import { QuotePool } from '../workers/quote-pool';
import { NEW_CALL, NEW_GROUP, type TypedCall, type TypedGroup, callOf, readGroup } from './call-asked';

const DRAFT = 'call';
const PERCENT = 100;
/** So long after the last key the sums are done again. */
const STILL_MS = 250;
/** Jobs that are asked for their terms, the last changed first. */
const MOST_ASKED = 8;

type Terms = Pick<Job, 'currency' | 'tax_percent' | 'hourCost' | 'tripCost' | 'margin_percent'>;

/** What to ask while somebody is on the phone; a rough price with its band; and a job of it. */
@Component({
  selector: 'yp-call-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './call-page.html',
})
export class CallPage {
  protected readonly words = callWords;
  protected readonly roughMoney = roughMoney;
  readonly #drafts = inject(Drafts);
  readonly #device = inject(Device);
  readonly #hand = inject(WhoseHand);
  readonly #router = inject(Router);
  readonly #pool = inject(QuotePool);
  readonly #stock = inject(Stock);
  readonly #catalogue = inject(Catalogue);
  readonly #learned = inject(LearnedFigures);
  protected readonly films = this.#catalogue.films;
  protected readonly kinds = CALL_KINDS;
  protected readonly fronts = CALL_FRONTS;
  protected readonly oldFilms = CALL_OLD_FILMS;
  protected readonly unit = computed(() => (this.#device.units() === 'metric' ? 'mm' : 'in'));
  protected readonly call = computed(() => callOf(this.#drafts.texts()[DRAFT]));
  protected readonly groups = computed(() =>
    this.call().groups.map((group) => readGroup(group, this.unit())),
  );
  readonly #asked = computed(() => this.groups().flatMap(({ asked }) => asked ?? []));
  protected readonly jobs = signal<readonly JobSummary[]>([]);
  protected readonly likeId = signal('');
  readonly #terms = signal<Terms>(NEW_JOB);
  protected readonly fault = signal('');
  readonly #shop = computed(() => ({
    ...{ films: this.films(), learned: this.#learned.figures(), people: [] },
  }));
  protected readonly here = computed(() => {
    let next = 0;
    const rows = enquiredRows(
      this.#asked(),
      this.#naming(() => `asked ${(next += 1)}`),
    );
    return quoteHere(enquiredView(rows, this.#shop(), this.#terms()), this.#stock.items());
  });
  readonly #calculated = signal<CalculatedQuote | undefined>(undefined);
  /** What a price would be, cheap and dear: four jobs in five like it lie between. */
  protected readonly rough = computed(() => {
    const [own, { currency, margin_percent }] = [this.#calculated(), this.#terms()];
    if (own === undefined || currency === null || margin_percent === null || this.here().case === undefined)
      return undefined;
    const price = (cost: number): number =>
      inCurrency(cost / (1 - margin_percent / PERCENT), decimalsOf(currency));
    return { least: price(own.least), most: price(own.most), currency };
  });
  /** Asked for, but nothing can be priced of it yet. */
  protected readonly unpriced = computed(() => {
    const priced = this.here().lines.length;
    return this.#asked().reduce((sum, { count }) => sum + count, 0) - priced;
  });
  protected readonly half = signal<NextHalfDay | undefined>(undefined);
  protected readonly halfSays = computed(() => {
    const half = this.half();
    if (half === undefined) return '';
    if (half === null) return callWords.noHalfDay;
    const from = DateTime.fromISO(half.from);
    return callWords.halfDay(
      from.toFormat('cccc d MMMM'),
      from.toFormat('HH:mm'),
      DateTime.fromISO(half.to).toFormat('HH:mm'),
      half,
    );
  });

  constructor() {
    void Promise.all([this.#catalogue.load(), this.#stock.load(), this.#learned.load()]);
    void this.#loadTerms();
    inject(GeneralCommands).offer();
    let turn = 0;
    effect((onCleanup) => {
      const { case: own } = this.here();
      const margin = this.#terms().margin_percent;
      turn += 1;
      const mine = turn;
      if (own === undefined) return;
      const later = setTimeout(() => {
        const asked = { risk: USUAL_RISK, margin: margin === null ? null : margin / PERCENT };
        this.#pool.quote(own, { ...asked, tax: null, typed: null }).then(
          (found) => {
            if (mine === turn) this.#calculated.set(found);
          },
          () => undefined,
        );
      }, STILL_MS);
      onCleanup(() => {
        clearTimeout(later);
      });
    });
    effect((onCleanup) => {
      const jobId = this.likeId();
      const bearings = [...new Set(this.#asked().flatMap(({ bearing_deg }) => bearing_deg ?? []))];
      if (jobId === '') return;
      const later = setTimeout(() => {
        const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
        api.halfDay(jobId, bearings, zone).then(
          (half) => {
            this.half.set(half);
          },
          () => {
            this.half.set(undefined);
          },
        );
      }, STILL_MS);
      onCleanup(() => {
        clearTimeout(later);
      });
    });
  }

  protected say(fields: Partial<TypedCall>): void {
    this.#drafts.type(DRAFT, JSON.stringify({ ...this.call(), ...fields }));
  }

  protected sayOf(index: number, fields: Partial<TypedGroup>): void {
    this.say({
      groups: this.call().groups.map((group, at) => (at === index ? { ...group, ...fields } : group)),
    });
  }

  protected more(): void {
    this.say({ groups: [...this.call().groups, NEW_GROUP] });
  }

  protected leave(index: number): void {
    const groups = this.call().groups.filter((_, at) => at !== index);
    this.say({ groups: groups.length === 0 ? NEW_CALL.groups : groups });
  }

  protected async like(jobId: string): Promise<void> {
    this.likeId.set(jobId);
    const found = await api.job(jobId).catch(() => undefined);
    const [job] = found?.rows.job ?? [];
    if (job === undefined || this.likeId() !== jobId) return;
    const { currency, tax_percent, hourCost, tripCost, margin_percent } = job;
    this.#terms.set({ currency, tax_percent, hourCost, tripCost, margin_percent });
  }

  /** A job with what was asked for: its sizes are only said, and its surfaces still to be measured. */
  protected make(): void {
    const { caller, phone, wish } = this.call();
    const faulty = this.groups().some(({ asked }) => asked === undefined);
    const name = caller.trim() === '' ? wish.trim().slice(0, 80) : caller.trim();
    this.fault.set(name === '' ? callWords.nameFirst : faulty ? callWords.correctFirst : '');
    if (this.fault() !== '') return;
    this.#hand.whenSigned((said) => {
      const id = newId();
      const rows = enquiredRows(this.#asked(), this.#naming(newId));
      const put = (table: string) => (own: { readonly id: string }) => {
        const { id: rowId, ...fields } = own;
        return { op: 'put', table, id: rowId, fields } as unknown as Op;
      };
      const half = this.half();
      const rough = this.rough();
      const ops: readonly Op[] = [
        put('job')({ ...NEW_JOB, ...this.#terms(), name, entryUnit: this.unit(), id } as { id: string }),
        ...rows.place.map(put('place')),
        ...rows.surface.map(put('surface')),
        ...rows.siteFacts.map(put('siteFacts')),
        ...rows.measure.map(put('measure')),
        ...rows.application.map(put('application')),
        put('enquiry')({
          ...{ id: newId(), caller, phone, wish, asked: this.#asked(), said, rough: rough ?? null },
          halfDay: half == null ? null : { from: half.from, to: half.to },
        } as { id: string }),
      ];
      const { who, personId } = said;
      void this.#send(id, { id: newId(), session: sessionOf(who), who, personId, ops });
    });
  }

  async #send(jobId: string, change: Parameters<typeof api.send>[1]): Promise<void> {
    try {
      await api.send(jobId, change);
      this.#drafts.forget(DRAFT);
      await this.#router.navigate(['/jobs', jobId, 'survey']);
    } catch (error) {
      this.fault.set(error instanceof ServerRefusal ? error.problem.detail : callWords.notKept);
    }
  }

  /** Terms as another job has them, the last one that has any. */
  async #loadTerms(): Promise<void> {
    const jobs = await api.jobs().catch(() => []);
    this.jobs.set(jobs.filter(({ archived }) => !archived));
    for (const { id } of this.jobs().slice(0, MOST_ASKED)) {
      await this.like(id);
      if (this.here().open.length === 0) return;
    }
  }

  #naming(make: () => string): Parameters<typeof enquiredRows>[1] {
    return {
      ...{ newId: make, unit: this.unit(), building: callWords.building, films: this.films() },
      sideOf: callWords.sideOf,
    };
  }
}
