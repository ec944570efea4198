import { ALLOWANCES } from './allowances';
import type { Rule } from './rule';
import { RULES } from './rules';

const HEAD = `# Rules of the trade

Made from \`core/src/rules/rules.ts\` by \`npm run rules\`; a test fails when it is not. Figures a shop comes to know by its own work are in \`core/src/learned/\` (Settings).

| key | value | what it says | source |
|---|---|---|---|
`;

const BLANKS = `
## Ways of fitting: what is over on each side, and which edge of the roll is wanted

From \`core/src/rules/allowances.ts\`; a job may set its own.

| way | top, right, bottom, left, mm | factory edge | why | source |
|---|---|---|---|---|
`;

/** The table of all rules as a page of Markdown. */
export function rulesDocument(): string {
  const rules = Object.entries(RULES as Readonly<Record<string, Rule>>).map(
    ([key, rule]) => `| ${key} | ${figureOf(rule)} | ${rule.reason} | ${rule.source.text} |`,
  );
  const ways = ALLOWANCES.map(
    ({ method, top_mm, right_mm, bottom_mm, left_mm, factoryEdge, reason, source }) =>
      `| ${method} | ${[top_mm, right_mm, bottom_mm, left_mm].join(', ')} | ${factoryEdge} | ${reason} | ${source.text} |`,
  );
  return `${HEAD}${rules.join('\n')}\n${BLANKS}${ways.join('\n')}\n`;
}

function figureOf({ value, least, most, unit }: Rule): string {
  const band = least === undefined || most === undefined ? '' : ` (${least} to ${most})`;
  return `${value}${band} ${unit}`;
}
