import { BENCH_ROUTES } from './bench-routes';
import { CLOSE_ROUTES } from './close-routes';
import { JOB_ROUTES } from './jobs-routes';
import { CALCULATION_ROUTES } from './calculate-routes';
import type { Route } from './route';
import { SHOP_ROUTES } from './shop-routes';

export type { Route } from './route';

/** Every address of the API, as documented in /api/openapi.json. */
export const ROUTES: readonly Route[] = [
  ...JOB_ROUTES,
  ...CLOSE_ROUTES,
  ...SHOP_ROUTES,
  ...BENCH_ROUTES,
  ...CALCULATION_ROUTES,
];
