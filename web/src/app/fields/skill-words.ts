import type { Skill } from '@yellow-pane/core/job';

export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  film: 'lays film',
  heat: 'works with the gun',
};
