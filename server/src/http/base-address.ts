import type { Request } from 'express';
import { Refusal } from './refusal';

/** Codes on paper lead to the base address from Settings, else to where the page was opened. */
export function baseOf(request: Request): string {
  const given = request.query['base'];
  if (typeof given !== 'string' || given === '')
    return `${request.protocol}://${request.get('host') ?? 'localhost'}`;
  if (!/^https?:\/\/[\w.:[\]-]{1,200}$/.test(given))
    throw new Refusal('BODY_INVALID', {
      path: 'base',
      expected: 'an address such as http://shop.local:4500',
      got: given.slice(0, 80),
    });
  return given;
}
