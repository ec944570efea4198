import type { Request } from 'express';
import * as z from 'zod';
import { Refusal } from './refusal';

const id = z.uuidv7();

/** A path parameter that must be a UUID of version 7. */
export function idParam(request: Request, name: string): string {
  const parsed = id.safeParse(request.params[name]);
  if (!parsed.success)
    throw new Refusal('ID_INVALID', {
      path: name,
      expected: 'a UUID of version 7',
      got: String(request.params[name]).slice(0, 80),
    });
  return parsed.data;
}
