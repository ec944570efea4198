UPDATE "place" SET "parent_id" = NULL WHERE "parent_id" = "id";--> statement-breakpoint
UPDATE "surface" SET "same_as_id" = NULL WHERE "same_as_id" = "id";--> statement-breakpoint
-- A deleted place under which surfaces are still seen comes back, with the places it lies in: nothing that is seen may vanish.
WITH RECURSIVE needed("id", "parent_id") AS (
	SELECT p."id", p."parent_id" FROM "place" p JOIN "surface" s ON s."place_id" = p."id" WHERE NOT s."removed"
	UNION SELECT p."id", p."parent_id" FROM "place" p JOIN needed ON needed."parent_id" = p."id"
)
UPDATE "place" SET "removed" = false, "version" = "version" + 1 WHERE "removed" AND "id" IN (SELECT "id" FROM needed);--> statement-breakpoint
-- Rows that outlived what they hang on go with it, parents first; fields that name a removed row are cleared. Film that was booked stays booked.
WITH RECURSIVE gone("id") AS (SELECT "id" FROM "place" WHERE "removed" UNION SELECT own."id" FROM "place" own JOIN gone ON own."parent_id" = gone."id")
UPDATE "place" SET "removed" = true, "version" = "version" + 1 WHERE NOT "removed" AND "id" IN (SELECT "id" FROM gone);--> statement-breakpoint
UPDATE "film_brief" SET "removed" = true, "version" = "film_brief"."version" + 1 FROM "place" p WHERE p."id" = "film_brief"."place_id" AND p."removed" AND NOT "film_brief"."removed";--> statement-breakpoint
UPDATE "glass_pane" SET "removed" = true, "version" = "glass_pane"."version" + 1 FROM "glass_unit" p WHERE p."id" = "glass_pane"."unit_id" AND p."removed" AND NOT "glass_pane"."removed";--> statement-breakpoint
UPDATE "surface" SET "removed" = true, "version" = "surface"."version" + 1 FROM "place" p WHERE p."id" = "surface"."place_id" AND p."removed" AND NOT "surface"."removed";--> statement-breakpoint
UPDATE "surface" SET "unit_id" = NULL, "version" = "surface"."version" + 1 FROM "glass_unit" p WHERE p."id" = "surface"."unit_id" AND p."removed" AND NOT "surface"."removed";--> statement-breakpoint
UPDATE "surface" SET "same_as_id" = NULL, "version" = "surface"."version" + 1 FROM "surface" p WHERE p."id" = "surface"."same_as_id" AND p."removed" AND NOT "surface"."removed";--> statement-breakpoint
UPDATE "site_facts" SET "removed" = true, "version" = "site_facts"."version" + 1 FROM "surface" p WHERE p."id" = "site_facts"."surface_id" AND p."removed" AND NOT "site_facts"."removed";--> statement-breakpoint
UPDATE "wall_facts" SET "removed" = true, "version" = "wall_facts"."version" + 1 FROM "surface" p WHERE p."id" = "wall_facts"."surface_id" AND p."removed" AND NOT "wall_facts"."removed";--> statement-breakpoint
UPDATE "part" SET "removed" = true, "version" = "part"."version" + 1 FROM "surface" p WHERE p."id" = "part"."surface_id" AND p."removed" AND NOT "part"."removed";--> statement-breakpoint
UPDATE "photo" SET "removed" = true, "version" = "photo"."version" + 1 FROM "surface" p WHERE p."id" = "photo"."surface_id" AND p."removed" AND NOT "photo"."removed";--> statement-breakpoint
UPDATE "photo" SET "part_id" = NULL, "version" = "photo"."version" + 1 FROM "part" p WHERE p."id" = "photo"."part_id" AND p."removed" AND NOT "photo"."removed";--> statement-breakpoint
UPDATE "measure" SET "removed" = true, "version" = "measure"."version" + 1 FROM "surface" p WHERE p."id" = "measure"."surface_id" AND p."removed" AND NOT "measure"."removed";--> statement-breakpoint
UPDATE "application" SET "removed" = true, "version" = "application"."version" + 1 FROM "surface" p WHERE p."id" = "application"."surface_id" AND p."removed" AND NOT "application"."removed";--> statement-breakpoint
UPDATE "seam_choice" SET "removed" = true, "version" = "seam_choice"."version" + 1 FROM "application" p WHERE p."id" = "seam_choice"."application_id" AND p."removed" AND NOT "seam_choice"."removed";--> statement-breakpoint
UPDATE "cut_roll" SET "removed" = true, "version" = "cut_roll"."version" + 1 FROM "cut_plan" p WHERE p."id" = "cut_roll"."plan_id" AND p."removed" AND NOT "cut_roll"."removed";--> statement-breakpoint
UPDATE "cut_piece" SET "removed" = true, "version" = "cut_piece"."version" + 1 FROM "cut_plan" p WHERE p."id" = "cut_piece"."plan_id" AND p."removed" AND NOT "cut_piece"."removed";--> statement-breakpoint
UPDATE "cut_piece" SET "removed" = true, "version" = "cut_piece"."version" + 1 FROM "cut_roll" p WHERE p."id" = "cut_piece"."roll_id" AND p."removed" AND NOT "cut_piece"."removed";--> statement-breakpoint
UPDATE "cut_piece" SET "removed" = true, "version" = "cut_piece"."version" + 1 FROM "application" p WHERE p."id" = "cut_piece"."application_id" AND p."removed" AND NOT "cut_piece"."removed";--> statement-breakpoint
UPDATE "planned_step" SET "removed" = true, "version" = "planned_step"."version" + 1 FROM "application" p WHERE p."id" = "planned_step"."application_id" AND p."removed" AND NOT "planned_step"."removed";--> statement-breakpoint
UPDATE "work_record" SET "removed" = true, "version" = "work_record"."version" + 1 FROM "application" p WHERE p."id" = "work_record"."application_id" AND p."removed" AND NOT "work_record"."removed";--> statement-breakpoint
ALTER TABLE "place" ADD CONSTRAINT "place_not_under_itself" CHECK ("place"."parent_id" <> "place"."id");--> statement-breakpoint
ALTER TABLE "surface" ADD CONSTRAINT "surface_not_same_as_itself" CHECK ("surface"."same_as_id" <> "surface"."id");