import * as z from 'zod';

/** A point of the earth, as a calculation is told it: sea level where nothing is said. */
export const pointOfEarthSchema = z.strictObject({
  latitude_deg: z.number().min(-90).max(90),
  longitude_deg: z.number().min(-180).max(180),
  altitude_m: z.number().min(-500).max(9000).default(0),
});

/** What stands before the sun from there; nothing where nothing is said. */
export const skylineSchema = z
  .array(
    z.strictObject({ bearing_deg: z.number().min(0).max(360), elevation_deg: z.number().min(-10).max(90) }),
  )
  .max(360)
  .default([]);
