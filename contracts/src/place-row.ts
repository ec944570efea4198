import type { ClimateMonth, Place } from '@yellow-pane/core/job';
import * as z from 'zod';
import { idSchema, positionSchema, share, word } from './primitives';

const bearing = z.number().min(0).lt(360);

const climateMonth = z.strictObject({
  air_C: z.number().min(-60).max(50),
  swing_K: z.number().min(0).max(40),
  humidity: z.number().min(0.01).max(1),
  sun: share,
}) satisfies z.ZodType<ClimateMonth>;

export const place = z.strictObject({
  parentId: idSchema.nullable(),
  kind: z.enum(['building', 'vehicle', 'facade', 'side', 'room']),
  name: word(200),
  bearing_deg: bearing.nullable(),
  latitude_deg: z.number().min(-90).max(90).nullable(),
  longitude_deg: z.number().min(-180).max(180).nullable(),
  altitude_m: z.number().min(-500).max(9000).nullable(),
  horizon: z
    .array(z.strictObject({ bearing_deg: bearing, elevation_deg: z.number().min(-10).max(90) }))
    .max(360),
  climate: z.array(climateMonth).length(12).nullable(),
  movable: z.boolean(),
  position: positionSchema,
}) satisfies z.ZodType<Place>;
