import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { PersonRow } from '@yellow-pane/contracts';
import { type CrewMember, type RowOf, type Skill, newPerson } from '@yellow-pane/core/job';
import { People } from '../../catalogue/people';
import { JobDesk } from '../../job/job-desk';
import { type Fact, Facts } from '../../fields/facts';
import { KeptField, type Typed } from '../../fields/kept-field';
import { SkillBoxes } from '../../fields/skill-boxes';
import { dayWords } from '../../words/day';
import { DayCommands } from './day-commands';
import { Planning } from './planning';

const USUAL_BREAK_MIN = 45;
const WEEK = [
  dayWords.monday,
  dayWords.tuesday,
  dayWords.wednesday,
  dayWords.thursday,
  dayWords.friday,
  dayWords.saturday,
  dayWords.sunday,
] as const;

/** Who works when, with which tools, on which days, in what air. */
@Component({
  selector: 'yp-crew-view',
  imports: [Facts, KeptField, SkillBoxes],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="text-xl pt-3">{{ words.crew }}</h2>
    @for (row of planning.crew(); track row.id) {
      <div
        class="grid grid-cols-[minmax(0,1.4fr)_repeat(4,minmax(0,1fr))_auto] max-lg:grid-cols-2 gap-2 items-end py-3 border-b border-line max-w-5xl"
      >
        <label
          ><span class="block text-sm text-faint">{{ words.name }}</span
          ><input
            class="field"
            maxlength="80"
            [ypKept]="'crew:' + row.id"
            [is]="row.name"
            [version]="row.version"
            (typed)="name(row, $event)"
        /></label>
        @for (field of fields; track field.key) {
          <label
            ><span class="block text-sm text-faint">{{ field.word }}</span
            ><input
              class="field figure"
              inputmode="numeric"
              maxlength="5"
              autocomplete="off"
              [placeholder]="field.isBreak ? words.none : ''"
              [value]="field.isBreak && row.breakEnds <= row.breakBegins ? '' : clock(row[field.key])"
              (change)="time(row, field.key, $any($event.target).value)"
          /></label>
        }
        <button type="button" class="act act-small" (click)="leave(row)">{{ words.leaves }}</button>
        <span class="flex flex-wrap gap-x-5 col-span-full">
          <yp-skill-boxes [mastered]="person(row)?.skills" (changed)="master(row, $event)" />
        </span>
      </div>
    } @empty {
      <p class="mt-2">{{ words.nobodyYet }}</p>
    }
    <div class="flex flex-wrap gap-2 items-end mt-3" role="group" [attr.aria-label]="words.whoElse">
      @for (person of others(); track person.id) {
        <button
          type="button"
          class="act"
          [class.act-next]="planning.crew().length === 0 && $first"
          (click)="borrow(person)"
        >
          {{ words.addPerson(person.name) }}
        </button>
      }
      <form class="flex gap-2 items-end" (submit)="add($event)">
        <label
          ><span class="block text-sm text-faint">{{ words.somebodyNew }}</span
          ><input
            class="field"
            maxlength="80"
            [value]="fresh()"
            (input)="fresh.set($any($event.target).value)"
        /></label>
        <button type="submit" class="act" [class.act-next]="planning.crew().length + others().length === 0">
          {{ words.add }}
        </button>
      </form>
    </div>
    @if (fault(); as text) {
      <p class="text-stop font-semibold" role="alert">{{ text }}</p>
    }
    <h2 class="text-xl mt-6">{{ words.daysAndAir }}</h2>
    <div class="max-w-xl">
      <yp-facts
        prefix="day-"
        [facts]="facts"
        [values]="values()"
        (changed)="change($event.key, $event.value)"
      />
      <label class="grid grid-cols-2 gap-3 items-center mt-1.5"
        ><span>{{ words.firstDay }}</span
        ><input
          class="field"
          type="date"
          [value]="planning.settings().firstDay"
          (change)="day($any($event.target).value)"
      /></label>
    </div>
    <div class="mt-3 max-w-xl" role="group" [attr.aria-label]="words.workingDays">
      <p>{{ words.workedOnHead }}</p>
      <span class="flex flex-wrap gap-2 mt-1">
        @for (word of week; track word; let index = $index) {
          <button
            type="button"
            class="act act-small"
            [class.act-quiet]="isRest(index + 1)"
            [class.line-through]="isRest(index + 1)"
            [attr.aria-pressed]="!isRest(index + 1)"
            (click)="toggleDay(index + 1)"
          >
            {{ word }}
          </button>
        }
      </span>
    </div>
    <h2 class="text-xl mt-6">{{ words.fewTools }}</h2>
    <div class="max-w-xl">
      @for (tool of planning.settings().tools; track tool.tool) {
        <label class="grid grid-cols-2 gap-3 items-center mt-1.5"
          ><span>{{ tool.tool }}</span
          ><input
            class="field figure"
            type="number"
            min="0"
            max="100"
            [value]="tool.count"
            (change)="count(tool.tool, $any($event.target).value)"
        /></label>
      }
    </div>
  `,
  host: { class: 'block px-5 pb-6 overflow-auto' },
})
export class CrewView {
  protected readonly words = dayWords;
  protected readonly planning = inject(Planning);
  readonly #commands = inject(DayCommands);
  readonly #desk = inject(JobDesk);
  readonly #people = inject(People);
  /** Of the shop, and not on this job yet. */
  protected readonly others = computed(() => {
    const here = new Set(this.planning.crew().map(({ personId }) => personId));
    return this.#people.active().filter(({ id }) => !here.has(id));
  });
  protected readonly fresh = signal('');
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly week = WEEK;
  protected readonly fields = [
    { key: 'begins', word: 'begins', isBreak: false },
    { key: 'ends', word: 'ends', isBreak: false },
    { key: 'breakBegins', word: dayWords.breakFrom, isBreak: true },
    { key: 'breakEnds', word: 'to', isBreak: true },
  ] as const;
  protected readonly facts: readonly Fact[] = [
    { key: 'days', kind: 'number', word: dayWords.howLong, unit: 'days', least: 1, most: 14 },
    { key: 'zone', kind: 'text', word: dayWords.timeZone },
    {
      key: 'indoor_C',
      kind: 'temperature',
      word: dayWords.airIndoors,
      least: -40,
      most: 60,
      how: dayWords.airIndoorsHow,
    },
    {
      key: 'humidityPercent',
      kind: 'number',
      word: dayWords.humidityIndoors,
      unit: '%',
      least: 1,
      most: 100,
    },
    {
      key: 'bearingDoubt_deg',
      kind: 'number',
      word: dayWords.bearingDoubt,
      unit: '±°',
      least: 0,
      most: 45,
      how: dayWords.bearingDoubtHow,
    },
  ];
  protected readonly values = (): object => {
    const settings = this.planning.settings();
    return {
      ...settings,
      humidityPercent: settings.indoorHumidity === null ? null : Math.round(settings.indoorHumidity * 100),
    };
  };

  protected clock(minute: number): string {
    return `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
  }

  protected person({ personId }: RowOf<'crewMember'>): PersonRow | undefined {
    return this.#people.byId().get(personId ?? '');
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const name = this.fresh().trim();
    if (name === '') {
      this.fault.set(dayWords.newNeedsLetter);
      return;
    }
    const known = this.#people.named(name);
    const answer = known ?? (await this.#people.save(newPerson(name)));
    this.fault.set('objection' in answer ? answer.objection : undefined);
    if (!('id' in answer)) return;
    this.fresh.set('');
    this.borrow({ id: answer.id, name: known?.name ?? name });
  }

  protected borrow({ id, name }: Pick<PersonRow, 'id' | 'name'>): void {
    const crew = this.planning.crew();
    this.#desk.do(dayWords.joinsCrew(name), [
      this.#desk.put('crewMember', {
        personId: id,
        name,
        begins: 450,
        ends: 1020,
        breakBegins: 720,
        breakEnds: 765,
        position: (crew.at(-1)?.position ?? 0) + 1,
      }),
    ]);
  }

  /** The person's own name is the shop's; here it is what the job calls them by. */
  protected name(row: RowOf<'crewMember'>, { text, seen }: Typed): void {
    const name = text.trim();
    this.fault.set(name === '' ? dayWords.nameNeedsLetter : undefined);
    if (name !== '') this.#set(row, { name }, 'renamed', seen);
  }

  protected time(
    row: RowOf<'crewMember'>,
    key: 'begins' | 'ends' | 'breakBegins' | 'breakEnds',
    text: string,
  ): void {
    if (text.trim() === '' && key.startsWith('break')) {
      this.fault.set(undefined);
      this.#set(row, { breakBegins: 0, breakEnds: 0 }, dayWords.noBreak);
      return;
    }
    const [, hour = '', minute = ''] = /^([01]?\d|2[0-4])[:.h]([0-5]\d)$/.exec(text.trim()) ?? [];
    const at = Number(hour) * 60 + Number(minute);
    if (hour === '' || at > 1440) {
      this.fault.set(dayWords.clockWrong(row.name, text));
      return;
    }
    this.fault.set(undefined);
    const hasBreak = row.breakEnds > row.breakBegins;
    if (key === 'breakBegins' && (!hasBreak || at >= row.breakEnds)) {
      this.#set(row, { breakBegins: at, breakEnds: Math.min(1440, at + USUAL_BREAK_MIN) }, 'break');
      return;
    }
    if (key === 'breakEnds' && (!hasBreak || at <= row.breakBegins)) {
      this.#set(row, { breakBegins: Math.max(0, at - USUAL_BREAK_MIN), breakEnds: at }, 'break');
      return;
    }
    this.#set(row, { [key]: at }, 'hours');
  }

  protected async master(row: RowOf<'crewMember'>, skills: readonly Skill[]): Promise<void> {
    const person = this.person(row);
    if (person === undefined) return;
    const answer = await this.#people.change(person, { skills });
    this.fault.set('objection' in answer ? `${row.name}: ${answer.objection}` : undefined);
  }

  protected leave(row: RowOf<'crewMember'>): void {
    this.#desk.do(dayWords.leavesCrew(row.name), [this.#desk.remove('crewMember', row.id)]);
  }

  protected change(key: string, value: string | number | null): void {
    if (key === 'humidityPercent') {
      this.#commands.set({ indoorHumidity: value === null ? null : Number(value) / 100 }, 'humidity');
      return;
    }
    if (key === 'zone') {
      const zone = String(value);
      if (!isZone(zone)) {
        this.fault.set(dayWords.zoneWrong(zone));
        return;
      }
    }
    this.fault.set(undefined);
    if (key === 'days' && (value === null || !Number.isInteger(value))) return;
    this.#commands.set({ [key]: value }, key === 'days' ? 'days' : dayWords.settingOfDays);
  }

  protected day(text: string): void {
    if (/^\d{4}-\d{2}-\d{2}$/.test(text)) this.#commands.set({ firstDay: text }, 'first day');
  }

  protected isRest(weekday: number): boolean {
    return this.planning.settings().restDays.includes(weekday);
  }

  protected toggleDay(weekday: number): void {
    const rest = this.planning.settings().restDays;
    this.#commands.set(
      { restDays: this.isRest(weekday) ? rest.filter((own) => own !== weekday) : [...rest, weekday] },
      `${WEEK[weekday - 1] ?? ''}: ${this.isRest(weekday) ? dayWords.workedOn : dayWords.dayOfRest}`,
    );
  }

  protected count(tool: string, text: string): void {
    const count = Number(text);
    if (!Number.isInteger(count) || count < 0 || count > 100) {
      this.fault.set(`${tool}: expected 0 to 100, got ${text}.`);
      return;
    }
    this.fault.set(undefined);
    this.#commands.set(
      { tools: this.planning.settings().tools.map((own) => (own.tool === tool ? { tool, count } : own)) },
      `${tool}: ${count}`,
    );
  }

  #set(row: RowOf<'crewMember'>, fields: Partial<CrewMember>, what: string, seen?: number): void {
    this.#desk.do(`${row.name}: ${what}`, [this.#desk.set('crewMember', row.id, fields, seen)]);
  }
}

function isZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
