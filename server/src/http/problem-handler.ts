import { CoreError } from '@yellow-pane/core/quantity';
import { ERRORS, type ErrorCode, type Problem, problem } from '@yellow-pane/contracts';
import type { ErrorRequestHandler } from 'express';
import type { Logger } from 'pino';
import { type Soundness, tellsOfDamage } from '../db/soundness';
import { Refusal, refusalOfCore } from './refusal';

const DAMAGED = { path: 'disk', expected: 'what was written', got: 'something else' };

/** Turns whatever was thrown into problem+json. Only the unexpected is logged as an error. */
export function problemHandler(log: Logger, soundness: Soundness): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    soundness.hear(error);
    const answer = problemOf(error);
    if (answer.status >= 500)
      log.error({ fault: faultOf(error), method: request.method, path: request.path }, 'request failed');
    else log.debug({ code: answer.code, method: request.method, path: request.path }, 'request refused');
    response.status(answer.status).type('application/problem+json').send(JSON.stringify(answer));
  };
}

/**
 * What a log may hold of a fault: its kind and where it came from. The words of a database name what people
 * typed.
 */
function faultOf(error: unknown): Readonly<Record<string, unknown>> {
  const cause = fieldOf(error, 'cause');
  const at = textOf(fieldOf(error, 'stack'))
    ?.split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 12)
    .map((line) => line.trim());
  return {
    name: fieldOf(error, 'name'),
    code: fieldOf(error, 'code') ?? fieldOf(cause, 'code'),
    cause: fieldOf(cause, 'name'),
    at,
  };
}

function problemOf(error: unknown): Problem {
  if (error instanceof Refusal) return error.problem;
  if (error instanceof CoreError) return refusalOfCore(error).problem;
  const cause = fieldOf(error, 'cause') ?? error;
  const code = fieldOf(cause, 'code');
  if (code === '23503')
    return problem('REFERENCE_UNKNOWN', {
      path: textOf(fieldOf(cause, 'constraint')) ?? 'reference',
      expected: 'the id of a row in this job',
      got: 'an unknown id',
    });
  if (code === 'ENOSPC' || code === '53100')
    return problem('DISK_FULL', { path: 'disk', expected: 'free space', got: 'none' });
  if (tellsOfDamage(error)) return problem('DATA_DAMAGED', DAMAGED);
  const status = fieldOf(error, 'status');
  if (typeof status === 'number' && status >= 400 && status < 500)
    return problem(
      codeOfStatus(status),
      {
        path: 'request',
        expected: 'a request this server can read',
        got: error instanceof Error ? error.message.slice(0, 120) : 'something else',
      },
      { status },
    );
  return problem('SERVER_FAULT', { path: 'server', expected: 'an answer', got: 'a fault' });
}

function codeOfStatus(status: number): ErrorCode {
  return (
    (['BODY_TOO_LARGE', 'ROUTE_UNKNOWN'] as const).find((code) => ERRORS[code].status === status) ??
    'BODY_NOT_JSON'
  );
}

function textOf(value: unknown): string | undefined {
  return typeof value === 'string' ? value : undefined;
}

function fieldOf(error: unknown, name: string): unknown {
  return typeof error === 'object' && error !== null ? (error as Record<string, unknown>)[name] : undefined;
}
