ALTER TABLE "application" ADD COLUMN "schools" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "day_settings" ADD COLUMN "schools" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "rescue_glass" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "consent" jsonb;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "old_film" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "old_film_area_m2" double precision;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "old_film_years" double precision;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "residue" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "flatness_nm" bigint;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "moisture" double precision;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "ground_c" double precision;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "ground" jsonb;--> statement-breakpoint
-- What was the usual before counts as not chosen; halves on the glass meant the top part first.
UPDATE "application" SET "schools" =
  (CASE "liner_school" WHEN 'tape tabs with two people' THEN '{}'::jsonb
    WHEN 'halves on the glass' THEN '{"liner": "top part first"}'::jsonb
    ELSE jsonb_build_object('liner', "liner_school") END)
  || (CASE "lock_school" WHEN 'T' THEN '{}'::jsonb ELSE jsonb_build_object('lock', "lock_school") END)
  || (CASE "trim_school" WHEN 'before squeezing out' THEN '{}'::jsonb ELSE jsonb_build_object('trim', "trim_school") END);--> statement-breakpoint
UPDATE "day_settings" SET "schools" =
  CASE "shrink" WHEN 'one sweep' THEN '{"shrink": "one sweep"}'::jsonb ELSE '{}'::jsonb END;--> statement-breakpoint
UPDATE "work_record" SET "step" = 'liner-top-first' WHERE "step" = 'liner-halves';--> statement-breakpoint
UPDATE "planned_step" SET "step" = 'liner-top-first' WHERE "step" = 'liner-halves';--> statement-breakpoint
UPDATE "planned_step" SET "steps" = replace("steps"::text, '"liner-halves"', '"liner-top-first"')::jsonb
  WHERE "steps"::text LIKE '%"liner-halves"%';
