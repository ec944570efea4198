import { celsius } from '../step-numbers';
import { CONDITION, FINISH_STRETCHED, HOT_DECOR } from './decor-parts';
import { TABLE } from './table';
import type { StepTemplate, WorkTemplate } from './template';

const FIRST = TABLE.steps.filter(({ key }) => ['hardware-off', 'remover'].includes(key));
const HOT = {
  ...HOT_DECOR,
  tools: ['heat gun', 'heat glove', 'squeegee with buffer', 'infrared thermometer'],
  shared: ['heat gun', 'infrared thermometer'],
} as const satisfies Partial<StepTemplate>;

/** Stretchy film over shapes: recess, corrugation, rim. */
export const WRAP: WorkTemplate = {
  template: 'wrap',
  version: 1,
  of: [
    { method: 'wrapped edges', families: ['wrap'] },
    { method: 'furrow girth', families: ['wrap'] },
  ],
  schools: ['stretch', 'recess', 'postHeat'],
  steps: [
    CONDITION,
    ...FIRST,
    {
      ...HOT,
      key: 'relieve',
      what: 'Surface and film, liner still on, warmed. Liner off. Relieve the tension: even {even}, the gun moving; there, let it cool, feel. Whole panel first, deep parts after; nothing pressed down before.',
      why: 'Tension from the roll pulls film out of every shape it is pressed into.',
      right: 'Wrinkles come, then go.',
      wrong: 'Colour or a glue line shows: too hot.',
      numbers: { even: celsius([40, 50]) },
      tools: [...HOT.tools, 'liner bin'],
      cautions: [...HOT.cautions, 'liner'],
      takes: ['work-handling', 'work-wrap'],
      air: 'wants clean air',
      wants: ['surface temperature', 'film temperature'],
    },
    {
      ...HOT,
      key: 'wrap-recess',
      what: 'Recess first, flat last. Surface under {surface}: the deepest part warmed to {deep}. Anchor on a flat with several strokes.',
      variants: [
        {
          school: 'recess',
          says: {
            'heat film, then apply': 'Then heat the film and apply it.',
            'bridge, then form': 'Then bridge it, set the ridge warm; heat, form, heat, press.',
            'glove and friction': 'Then the glove, with friction.',
            'lift and reheat': 'Lift and reheat where it went too far.',
          },
        },
      ],
      why: 'What is flat first has no film left for the deep.',
      right: 'It stays in the depth when cool.',
      wrong:
        'Pops out: too cold. The glove leaves air: once more heat, and a medium-hard squeegee with a thin buffer.',
      numbers: { surface: celsius(21), deep: celsius(65) },
      takes: ['work-wrap'],
    },
    {
      ...HOT,
      key: 'wrap-flat',
      what: 'Along a body line, tension pulled out evenly, lapping strokes. Rim: hands placed so that the surplus divides to both sides; lift back to a natural line, straight; heat almost to post-heat.',
      variants: [
        {
          school: 'stretch',
          says: {
            warm: 'Stretch it warm; next line.',
            'almost cold': 'Let it nearly cool, then stretch; next line.',
          },
        },
      ],
      why: 'One line at a time: film hauled over two at once folds between them.',
      takes: ['work-lay-dry', 'work-wrap'],
    },
    ...FINISH_STRETCHED.filter(
      ({ key }) => key === 'final-cut-first' || key === 'post-heat' || key === 'final-cut',
    ),
    {
      ...HOT,
      key: 'heat-search',
      what: 'Heat search, last: warm air over everything. What rises is pressed out, or lifted and redone; a gloved palm only in valleys, evenly.',
      why: 'What the sun would find next week is found now.',
      right: 'Nothing rises.',
      takes: ['work-post-heat', 'work-look'],
    },
    ...FINISH_STRETCHED.filter(({ key }) => !['final-cut-first', 'post-heat', 'final-cut'].includes(key)),
  ],
};
