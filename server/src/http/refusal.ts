import { type CoreError } from '@yellow-pane/core/quantity';
import { type ErrorCode, type Problem, problem, saidOfIssue } from '@yellow-pane/contracts';
import type { ZodType, core } from 'zod';

/** What a route throws to refuse: one code of the catalogue with its data. */
export class Refusal extends Error {
  readonly problem: Problem;
  constructor(
    code: ErrorCode,
    data: { readonly path: string; readonly expected: string; readonly got: string },
    more: Readonly<Record<string, unknown>> = {},
  ) {
    super(`${code} at ${data.path}`);
    this.name = 'Refusal';
    this.problem = problem(code, data, more);
  }
}

/**
 * The body as the schema says, or a refusal that names the first field that does not fit and lists them all.
 */
export function parseBody<Value>(schema: ZodType<Value>, body: unknown): Value {
  if (body === undefined)
    throw new Refusal('BODY_NOT_JSON', {
      path: 'body',
      expected: 'a JSON object sent as application/json',
      got: 'nothing readable',
    });
  const parsed = schema.safeParse(body);
  if (parsed.success) return parsed.data;
  const faults = parsed.error.issues
    .flatMap(meant)
    .slice(0, 20)
    .map((issue) => {
      const keys = issue.code === 'unrecognized_keys' ? [...issue.path, issue.keys[0] ?? ''] : issue.path;
      return { path: keys.join('.') || 'body', ...saidOfIssue(issue, valueAt(body, keys)) };
    });
  throw new Refusal(
    'BODY_INVALID',
    faults[0] ?? { path: 'body', expected: 'a body that fits', got: shown(body) },
    { faults },
  );
}

/**
 * Of what could be one of several things, the faults of the one it is nearest to: a fault is in a field, not
 * in the whole.
 */
function meant(issue: core.$ZodIssue): readonly core.$ZodIssue[] {
  if (issue.code !== 'invalid_union' || issue.errors.length === 0) return [issue];
  const nearest = issue.errors.reduce((best, own) => (own.length < best.length ? own : best));
  return nearest.flatMap(meant).map((own) => ({ ...own, path: [...issue.path, ...own.path] }));
}

/** Core's own error in the words of the catalogue. */
export function refusalOfCore(error: CoreError): Refusal {
  return new Refusal(error.code, error.data);
}

function valueAt(body: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    body,
  );
}

function shown(value: unknown): string {
  return value === undefined ? 'nothing' : JSON.stringify(value).slice(0, 120);
}
