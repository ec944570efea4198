import type { Rule } from './rule';
import { RULES } from './rules';

const HEAD = `# Rules of the trade

Made from \`core/src/rules/rules.ts\` by \`npm run rules\`; a test fails when it is not. Figures a shop comes to know by its own work are in \`core/src/learned/\` (Settings).

| key | value | what it says | source |
|---|---|---|---|
`;

/** The table of all rules as a page of Markdown. */
export function rulesDocument(): string {
  return `${HEAD}${Object.entries(RULES as Readonly<Record<string, Rule>>)
    .map(([key, rule]) => `| ${key} | ${figureOf(rule)} | ${rule.reason} | ${rule.source.text} |`)
    .join('\n')}\n`;
}

function figureOf({ value, least, most, unit }: Rule): string {
  const band = least === undefined || most === undefined ? '' : ` (${least} to ${most})`;
  return `${value}${band} ${unit}`;
}
