import type { Basis } from '../learned';
import { filled, numberWord } from './step-numbers';
import { type StepTemplate, TEMPLATES, numbersOf } from './templates';
import { SCHOOLS, SCHOOL_KEYS, type SchoolOption } from './schools';
import { stepCaseOf } from './work-case';

const HEAD = `# Ways of working

Made from \`core/src/ways/templates/\` by \`npm run rules\`; a test fails when it is not. Common practice with no published
source, unless a figure says otherwise. The film's data sheet, local codes and licensed practice win. Which steps a
surface gets is decided by the whole case; a step with a condition is marked.
`;

const CASE = stepCaseOf({ condition: 'unknown', isSecurityFilm: false });
const said = (basis: Basis): string => (basis === 'ours' ? 'our guess' : basis);

/** Every way of working with its steps as a page of Markdown, figures in millimetres and °C. */
export function waysDocument(): string {
  const ways = TEMPLATES.map(
    ({ template, steps }) =>
      `\n## ${template}\n\n${steps.map((step, index) => `${index + 1}. ${lineOf(step)}`).join('\n')}\n`,
  );
  return `${HEAD}${ways.join('')}${schoolsChapter()}`;
}

function lineOf(step: StepTemplate): string {
  const numbers = numbersOf(step, CASE);
  const doubts = Object.values(numbers)
    .filter(({ basis }) => basis !== 'common practice')
    .map((number) => `${numberWord(number, 'metric')}: ${said(number.basis)}`);
  const marks = [
    `\`${step.key}\``,
    ...(step.when === undefined ? [] : ['only in some cases']),
    ...(step.leftOut === undefined ? [] : [`else: ${step.leftOut}`]),
    ...doubts,
  ];
  return `${filled(step.what, numbers, 'metric')} *${step.why}* (${marks.join('; ')})`;
}

/** Every question practitioners answer differently, with its answers. */
function schoolsChapter(): string {
  const lines = SCHOOL_KEYS.map((key) => {
    const { asks, options } = SCHOOLS[key];
    const answers = options.map(
      ({ value, reason, basis }: SchoolOption) =>
        `- **${value}**: ${reason}${basis === undefined ? '' : ` (${said(basis)})`}`,
    );
    return `\n### ${asks}\n\n${answers.join('\n')}\n`;
  });
  return `\n## Schools\n\nChosen for one surface, for the whole job, or by a rule from the case.\n${lines.join('')}`;
}
