import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { CustomerRow } from '@yellow-pane/contracts';
import type { Job } from '@yellow-pane/core/job';
import { Customers } from '../../catalogue/customers';
import { type Fact, type FactChange, Facts } from '../../fields/facts';
import { JobDesk } from '../../job/job-desk';
import { closeWords } from '../../words/close';
import { CloseDesk } from './close-desk';

const SITE = ['street', 'accessHours', 'siteContact', 'keys', 'lift', 'waterAndPower'] as const;

/** For whom the job is, and what to know before somebody stands at the door. */
@Component({
  selector: 'yp-site-here',
  imports: [Facts],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="for-whom" class="max-w-xl flex flex-col gap-2">
      <h2 id="for-whom" class="text-lg font-bold">{{ words.forWhom }}</h2>
      <label class="grid grid-cols-2 gap-3 items-center"
        ><span>{{ words.customer }}</span
        ><select class="field" (change)="choose($any($event.target).value)">
          <option value="" [selected]="close.job()?.customerId === null">{{ words.nobodyYet }}</option>
          @for (own of customers.customers(); track own.id) {
            <option [value]="own.id" [selected]="own.id === close.job()?.customerId">{{ own.name }}</option>
          }
        </select></label
      >
      @if (customer(); as own) {
        <p class="whitespace-pre-line">{{ own.address }}</p>
        @for (contact of own.contacts; track $index) {
          <p>{{ words.contactIs(contact.name, contact.phone, contact.email) }}</p>
        }
        <button type="button" class="act act-small w-fit" (click)="edit(own)">
          {{ words.changeCustomer }}
        </button>
      }
      @for (call of calls(); track call.id) {
        <p class="border-l-4 border-line-strong pl-3 whitespace-pre-line">{{ call.says }}</p>
      }
      <details class="border-l-4 border-line-strong pl-3" [open]="edited() !== undefined">
        <summary class="min-h-10 content-center cursor-pointer font-semibold">
          {{ edited()?.name ?? words.newCustomer }}
        </summary>
        <yp-facts prefix="customer:" [facts]="newFacts" [values]="draft()" (changed)="type($event)" />
        <button type="button" class="act mt-2" (click)="keep()">{{ words.keepCustomer }}</button>
      </details>
      @if (fault() !== '' || customers.fault() !== '') {
        <p class="text-stop font-semibold" role="alert">{{ fault() || customers.fault() }}</p>
      }
      @if (close.job(); as job) {
        <yp-facts prefix="site:" [facts]="site" [values]="job" (changed)="change($event)" />
      }
    </section>
  `,
  host: { class: 'block' },
})
export class SiteHere {
  protected readonly words = closeWords;
  protected readonly close = inject(CloseDesk);
  protected readonly customers = inject(Customers);
  readonly #job = inject(JobDesk);
  protected readonly fault = signal('');
  protected readonly draft = signal<Readonly<Record<string, string>>>({});
  protected readonly site: readonly Fact[] = SITE.map((key) => ({
    ...{ key, kind: 'text', word: closeWords.site(key) },
  }));
  protected readonly newFacts: readonly Fact[] = (
    ['name', 'address', 'contact', 'phone', 'email'] as const
  ).map((key) => ({ key, kind: 'text', word: closeWords.ofCustomer(key) }));
  protected readonly customer = computed(() =>
    this.customers.customers().find(({ id }) => id === this.close.job()?.customerId),
  );

  protected readonly edited = signal<CustomerRow | undefined>(undefined);
  /** What was asked for on the phone. */
  protected readonly calls = computed(() =>
    this.close.view().rows.enquiry.map(({ id, caller, phone, wish, rough, said }) => ({
      id,
      says: closeWords.askedOnPhone(
        [caller, phone, wish].filter((part) => part !== '').join(', '),
        this.close.dayOf(said.at),
        rough === null
          ? ''
          : closeWords.fromTo(
              this.close.money(rough.least, rough.currency),
              this.close.money(rough.most, rough.currency),
            ),
      ),
    })),
  );

  constructor() {
    void this.customers.load();
  }

  protected choose(id: string): void {
    this.#set({ customerId: id === '' ? null : id });
  }

  protected change({ key, value, seen }: FactChange): void {
    this.#set({ [key]: value ?? '' }, seen);
  }

  protected type({ key, value }: FactChange): void {
    this.draft.update((draft) => ({ ...draft, [key]: String(value ?? '') }));
  }

  /** The others of several contacts stay: only the first is changed here. */
  protected edit(own: CustomerRow): void {
    const [first] = own.contacts;
    this.edited.set(own);
    this.draft.set({
      ...{ name: own.name, address: own.address, contact: first?.name ?? '' },
      ...{ phone: first?.phone ?? '', email: first?.email ?? '' },
    });
  }

  protected async keep(): Promise<void> {
    const { name = '', address = '', contact = '', phone = '', email = '' } = this.draft();
    this.fault.set(name === '' ? closeWords.customerName : '');
    if (name === '') return;
    const first = contact + phone + email === '' ? [] : [{ name: contact, phone, email }];
    const contacts = [...first, ...(this.edited()?.contacts.slice(1) ?? [])];
    const id = await this.customers.save({ name, address, contacts }, this.edited());
    if (id === undefined) return;
    this.draft.set({});
    this.edited.set(undefined);
    this.choose(id);
  }

  #set(fields: Partial<Job>, seen?: number): void {
    const job = this.close.job();
    if (job !== undefined) this.#job.do(closeWords.changed, [this.#job.set('job', job.id, fields, seen)]);
  }
}
