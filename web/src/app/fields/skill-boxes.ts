import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { SKILLS, type Skill } from '@yellow-pane/core/job';
import { uiWords } from '../words/ui';

const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  film: uiWords.laysFilm,
  heat: uiWords.worksWithGun,
};

/** What a person can be asked to do, a box each. */
@Component({
  selector: 'yp-skill-boxes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (skill of skills; track skill) {
      <label class="flex gap-2 items-center min-h-10"
        ><input
          type="checkbox"
          class="size-5 accent-ink"
          [checked]="mastered()?.includes(skill) === true"
          [disabled]="mastered() === undefined"
          (change)="toggle(skill)"
        />{{ skillWords[skill] }}</label
      >
    }
  `,
  host: { class: 'contents' },
})
export class SkillBoxes {
  /** Undefined: the person is not known, and nothing can be said. */
  readonly mastered = input.required<readonly Skill[] | undefined>();
  readonly changed = output<readonly Skill[]>();
  protected readonly skills = SKILLS;
  protected readonly skillWords = SKILL_WORDS;

  protected toggle(skill: Skill): void {
    const before = this.mastered() ?? [];
    this.changed.emit(before.includes(skill) ? before.filter((own) => own !== skill) : [...before, skill]);
  }
}
