import type * as z from 'zod';

/** One address of the API, as documented in /api/openapi.json. `answer` absent: not JSON of ours. */
export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly says: string;
  readonly body?: z.ZodType;
  readonly answer?: z.ZodType;
  readonly needsIfMatch?: boolean;
  readonly kind?:
    | 'text/csv'
    | 'image/svg+xml'
    | 'image/vnd.dxf'
    | 'application/vnd.hp-hpgl'
    | 'application/pdf'
    | 'application/zip'
    | 'image/jpeg'
    | 'text/event-stream'
    | 'text/calendar';
}
