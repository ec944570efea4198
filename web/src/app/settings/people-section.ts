import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import type { PersonRow } from '@yellow-pane/contracts';
import { type Person, initialsOf, newPerson } from '@yellow-pane/core/job';
import { formatLengthWithUnit, mmFromNm, nmFromMm, parseReading } from '@yellow-pane/core/quantity';
import { People } from '../catalogue/people';
import { Device } from '../device/device';
import { Drafts } from '../device/drafts';
import { KeptField } from '../fields/kept-field';
import { SkillBoxes } from '../fields/skill-boxes';
import { settingsWords } from '../words/settings';

/** A hand that strays more was not measured, mm. */
const WANDER = { least_mm: 0, most_mm: 100 };

type Written = 'name' | 'initials' | 'wander';

/** Who works in the shop, and who on this device. Jobs borrow their crew from here. */
@Component({
  selector: 'yp-people-section',
  imports: [KeptField, SkillBoxes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="people">
      <h2 id="people" class="text-xl">{{ words.peopleOfShop }}</h2>
      <p class="mt-1">
        @if (device.hasName()) {
          {{ words.whoWorksHere(device.who()) }}
        } @else {
          {{ words.nobodyWorksHere }}
        }
      </p>
      @for (person of people.people(); track person.id) {
        <div
          class="flex flex-wrap gap-3 items-end border-b border-line py-3"
          role="group"
          [attr.aria-label]="person.name"
        >
          <label class="flex-1 min-w-52"
            ><span class="block text-sm text-faint">{{ words.name }}</span
            ><input
              class="field"
              maxlength="80"
              [ypKept]="'person-name:' + person.id"
              [is]="person.name"
              [faultOf]="nameFault"
              (typed)="keep(person, 'name', $event.text)"
          /></label>
          <label
            ><span class="block text-sm text-faint">{{ words.initials }}</span
            ><input
              class="field w-24"
              maxlength="8"
              [ypKept]="'person-initials:' + person.id"
              [is]="person.initials"
              (typed)="keep(person, 'initials', $event.text)"
          /></label>
          <label
            ><span class="block text-sm text-faint">{{ words.bladeIn }}</span
            ><select
              class="field w-auto"
              (change)="save(person, { hand: handOf($any($event.target).value) })"
            >
              @for (hand of hands; track hand.value) {
                <option [value]="hand.value" [selected]="hand.value === (person.hand ?? '')">
                  {{ hand.word }}
                </option>
              }
            </select></label
          >
          <label
            ><span class="block text-sm text-faint">{{ words.strays }}</span
            ><input
              class="field w-28 figure"
              inputmode="decimal"
              [placeholder]="words.notKnown"
              [ypKept]="'person-wander:' + person.id"
              [is]="person.wander_mm === null ? '' : said(person.wander_mm)"
              [faultOf]="wanderFault"
              (typed)="keep(person, 'wander', $event.text)"
          /></label>
          @if (person.id === device.personId()) {
            <span class="min-h-touch flex items-center font-semibold">{{ words.worksHere }}</span>
          } @else if (person.active) {
            <button type="button" class="act act-small" (click)="workHere(person)">
              {{ words.worksHereNow }}
            </button>
          }
          <span class="flex flex-wrap gap-x-5 basis-full">
            <yp-skill-boxes [mastered]="person.skills" (changed)="save(person, { skills: $event })" />
            <label class="flex gap-2 items-center min-h-10"
              ><input
                type="checkbox"
                class="size-5 accent-ink"
                [checked]="person.active"
                (change)="save(person, { active: !person.active })"
              />{{ words.inTheShop }}</label
            >
          </span>
        </div>
      } @empty {
        <p class="mt-2 text-faint">{{ words.nobodyKnown }}</p>
      }
      <form class="flex gap-3 items-end mt-3" (submit)="add($event)">
        <label class="flex-1 min-w-52"
          ><span class="block">{{ words.somebodyNew }}</span
          ><input
            class="field"
            maxlength="80"
            [value]="fresh()"
            (input)="fresh.set($any($event.target).value)"
        /></label>
        <button type="submit" class="act">{{ words.add }}</button>
      </form>
      @if (fault(); as text) {
        <p class="mt-2 text-stop font-semibold" role="alert">{{ text }}</p>
      }
    </section>
  `,
})
export class PeopleSection {
  protected readonly words = settingsWords;
  readonly #drafts = inject(Drafts);
  protected readonly device = inject(Device);
  protected readonly people = inject(People);
  protected readonly fresh = signal('');
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly hands = [
    { value: '', word: 'unknown' },
    { value: 'left', word: settingsWords.leftHand },
    { value: 'right', word: settingsWords.rightHand },
  ] as const;

  protected readonly nameFault = (text: string): string | undefined =>
    text.trim() === '' ? settingsWords.atLeastOneLetter : undefined;

  /** Millimetres, or inches for those who work in them; undefined: it cannot be read. */
  protected readonly wanderOf = (text: string): number | null | undefined => {
    if (text.trim() === '') return null;
    const read = parseReading(text, this.device.units() === 'metric' ? 'mm' : 'in', WANDER);
    return read.kind === 'length' ? mmFromNm(read.value_nm) : undefined;
  };
  protected readonly wanderFault = (text: string): string | undefined =>
    this.wanderOf(text) === undefined ? settingsWords.straysFault : undefined;

  protected said(mm: number): string {
    return formatLengthWithUnit(nmFromMm(mm), this.device.units());
  }

  protected handOf(value: string): Person['hand'] {
    return value === 'left' || value === 'right' ? value : null;
  }

  protected workHere({ id, name }: PersonRow): void {
    this.device.workFor({ who: name, personId: id });
  }

  /** What is refused stays in its field, beside the reason. */
  protected async keep(person: PersonRow, field: Written, text: string): Promise<void> {
    const isKept = await this.save(person, this.#fieldsOf(person, field, text));
    if (!isKept) this.#drafts.type(`person-${field}:${person.id}`, text);
  }

  #fieldsOf(person: PersonRow, field: Written, text: string): Partial<Person> {
    if (field === 'wander') return { wander_mm: this.wanderOf(text) ?? null };
    const told = text.trim();
    if (field === 'initials') return { initials: told };
    const hasUsual = person.initials === initialsOf(person.name);
    return { name: told, ...(hasUsual ? { initials: initialsOf(told) } : {}) };
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const name = this.fresh().trim();
    if (name === '') {
      this.fault.set(settingsWords.newNeedsLetter);
      return;
    }
    const answer = await this.people.save(newPerson(name));
    this.fault.set('objection' in answer ? answer.objection : undefined);
    if ('id' in answer) this.fresh.set('');
  }

  /** @returns whether it was kept */
  protected async save(person: PersonRow, fields: Partial<Person>): Promise<boolean> {
    const answer = await this.people.change(person, fields);
    this.fault.set('objection' in answer ? `${person.name}: ${answer.objection}` : undefined);
    return 'id' in answer;
  }
}
