import { CORE_ERRORS } from './core-errors';
import type { ErrorEntry } from './error-entry';
import { SERVER_ERRORS } from './server-errors';

const HEAD = `# Errors

Made from the catalogue in \`contracts/src\` by \`npm run rules\`; a test fails when it is not. Every refusal is an RFC 9457 problem of type
\`urn:yellow-pane:problem:CODE\`; its \`detail\` names the field, what is allowed, what was given, and the remedy.

`;

const TABLE = '| code | status | title | remedy |\n|---|---|---|---|\n';

/** docs/errors.md, as text: the catalogue of refusals, core's first. */
export function errorsDocument(): string {
  return `${HEAD}## Refused by core\n\n${tableOf(CORE_ERRORS)}\n## Refused by the server\n\n${tableOf(SERVER_ERRORS)}`;
}

function tableOf(entries: Readonly<Record<string, ErrorEntry>>): string {
  const rows = Object.entries(entries).map(
    ([code, { status, title, remedy }]) => `| ${code} | ${status} | ${title} | ${remedy} |\n`,
  );
  return TABLE + rows.join('');
}
