import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { MarkRule, SetOfRules } from '@yellow-pane/core/job';
import { type SetOfJob, rulesOfSet } from '@yellow-pane/core/reading';
import { newId } from '../../device/session';
import { JobDesk } from '../../job/job-desk';
import { checkWords, ruleFields } from '../../words/check';
import { CheckDesk } from './check-desk';

const NEW_LINE: MarkRule = {
  kind: 'spot',
  over_mm: 3,
  to_mm: null,
  zone: 'any',
  limit: { case: 'at most', count: 0 },
};

/** By which rules it is judged: chosen, copied to the job and edited there, each change its next version. */
@Component({
  selector: 'yp-rules-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rules-panel.html',
  host: { class: 'block' },
})
export class RulesPanel {
  protected readonly words = checkWords;
  protected readonly desk = inject(CheckDesk);
  readonly #job = inject(JobDesk);
  protected readonly kinds = ['spot', 'line'] as const;
  protected readonly zones = ['any', 'main', 'edge'] as const;
  protected readonly fault = signal<string | undefined>(undefined);
  protected readonly fields = computed(() => {
    const set = this.desk.set();
    return set === undefined
      ? []
      : ruleFields.flatMap((field) => {
          const value = field.of(set);
          return value === undefined ? [] : [{ ...field, value: value === null ? '' : String(value) }];
        });
  });
  protected readonly lines = computed(() =>
    (this.desk.set()?.rules ?? []).map((rule, index) => ({
      index,
      kind: rule.kind,
      zone: rule.zone,
      says: checkWords.ruleLine(rule.kind, rule.zone),
      over_mm: rule.over_mm,
      to_mm: rule.to_mm ?? '',
      count:
        rule.limit.case === 'at most' || rule.limit.case === 'a square metre' ? rule.limit.count : undefined,
      limit: checkWords.limitIs(rule.limit),
    })),
  );

  protected choose(text: string): void {
    const set = this.desk.sets()[Number(text)];
    if (set !== undefined) this.desk.judgeBy(set);
  }

  protected copy(set: SetOfJob): void {
    const { name, source } = set;
    const rules = rulesOfSet(set);
    const id = newId();
    const own = { name: checkWords.copyOf(name), setVersion: 1, copyOf: name, source, rules };
    this.#job.do(checkWords.rulesCopied(name), [this.#job.put('ruleSet', own, id)]);
    this.desk.judgeBy({ ...rules, id, name: own.name, version: 1, source });
  }

  protected rename(text: string): void {
    const [id, name] = [this.desk.set()?.id, text.trim().slice(0, 80)];
    if (id != null && name !== '')
      this.#job.do(checkWords.rulesChanged, [this.#job.set('ruleSet', id, { name })]);
  }

  protected take(key: string, text: string): void {
    const [set, field] = [this.desk.set(), ruleFields.find((own) => own.key === key)];
    if (set === undefined || field === undefined) return;
    const isEmpty = text.trim() === '';
    const value = Number(text.replace(',', '.'));
    if (!(isEmpty && field.mayBeEmpty) && !(value >= field.least && value <= field.most)) {
      this.fault.set(checkWords.ruleWrong(field.word, text, field.least, field.most));
      return;
    }
    this.#keep(field.put(set, isEmpty ? null : value));
  }

  protected takeLine(index: number, key: 'over_mm' | 'to_mm' | 'count', text: string): void {
    const set = this.desk.set();
    const rule = set?.rules[index];
    if (set === undefined || rule === undefined) return;
    const value = text.trim() === '' ? null : Number(text.replace(',', '.'));
    const isNumber = value !== null && value >= 0 && value <= 3000;
    if (!isNumber && !(key === 'to_mm' && value === null)) {
      this.fault.set(checkWords.ruleWrong(checkWords.lineNumber(index + 1), text, 0, 3000));
      return;
    }
    const { limit } = rule;
    const changed = {
      ...rule,
      ...(key === 'over_mm' ? { over_mm: value ?? 0 } : {}),
      ...(key === 'to_mm' ? { to_mm: value } : {}),
      limit:
        key === 'count' && (limit.case === 'at most' || limit.case === 'a square metre')
          ? { ...limit, count: value ?? 0 }
          : limit,
    };
    if (changed.to_mm !== null && changed.to_mm <= changed.over_mm) {
      this.fault.set(checkWords.fromOverTo(changed.over_mm, changed.to_mm));
      return;
    }
    this.#keep({ ...set, rules: set.rules.map((own, at) => (at === index ? changed : own)) });
  }

  /** One more line, the strictest: it is made milder from there. */
  protected addLine(): void {
    const set = this.desk.set();
    if (set !== undefined) this.#keep({ ...set, rules: [...set.rules, NEW_LINE] });
  }

  protected takeLineOut(index: number): void {
    const set = this.desk.set();
    if (set !== undefined) this.#keep({ ...set, rules: set.rules.filter((_, at) => at !== index) });
  }

  protected sayOfLine(index: number, fields: Partial<Pick<MarkRule, 'kind' | 'zone'>>): void {
    const set = this.desk.set();
    if (set !== undefined)
      this.#keep({
        ...set,
        rules: set.rules.map((own, at) => (at === index ? { ...own, ...fields } : own)),
      });
  }

  #keep(next: SetOfRules): void {
    this.fault.set(undefined);
    const set = this.desk.set();
    if (set?.id == null) return;
    const fields = { setVersion: set.version + 1, rules: rulesOfSet(next) };
    this.#job.do(checkWords.rulesChanged, [this.#job.set('ruleSet', set.id, fields)]);
  }
}
