import type { CoreErrorCode } from '@yellow-pane/core/quantity';
import { CORE_ERRORS } from './core-errors';
import type { ErrorEntry } from './error-entry';
import { SERVER_ERRORS, type ServerErrorCode } from './server-errors';

export type ErrorCode = CoreErrorCode | ServerErrorCode;

/** The one catalogue of refusals. */
export const ERRORS: Readonly<Record<ErrorCode, ErrorEntry>> = { ...CORE_ERRORS, ...SERVER_ERRORS };

/** An RFC 9457 problem. Data first, so that form, log and API say the same. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: ErrorCode;
  readonly path: string;
  readonly expected: string;
  readonly got: string;
  readonly [extension: string]: unknown;
}

/** Makes the problem of a code. Sentence: where, what was expected, what came, what to do. */
export function problem(
  code: ErrorCode,
  data: { readonly path: string; readonly expected: string; readonly got: string },
  more: Readonly<Record<string, unknown>> = {},
): Problem {
  const { status, title, remedy } = ERRORS[code];
  return {
    type: `urn:yellow-pane:problem:${code}`,
    title,
    status,
    detail: `${data.path}: expected ${data.expected}, got ${data.got}. ${remedy}`,
    code,
    ...data,
    ...more,
  };
}
