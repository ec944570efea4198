import type { Request } from 'express';
import { Refusal } from './refusal';

const VERSION = /^(?:W\/)?"?(\d{1,10})"?$/;

/** The version the asker saw; undefined where none is told. */
export function seenVersion(request: Request): number | undefined {
  const digits = VERSION.exec(request.get('If-Match') ?? '')?.[1];
  return digits === undefined ? undefined : Number(digits);
}

/** The same where it must be told.
 *  @throws Refusal IF_MATCH_MISSING */
export function wantedVersion(request: Request): number {
  const seen = seenVersion(request);
  if (seen === undefined)
    throw new Refusal('IF_MATCH_MISSING', {
      path: 'If-Match',
      expected: 'the version seen, such as "3"',
      got: request.get('If-Match') ?? 'nothing',
    });
  return seen;
}

/** For what is added without a version and changed with one. */
export function versionOrNew(request: Request): { readonly version?: number } {
  const version = seenVersion(request);
  return version === undefined ? {} : { version };
}
