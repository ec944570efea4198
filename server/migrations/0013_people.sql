CREATE TABLE "person" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"changed_by" text NOT NULL,
	"changed_by_id" uuid,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"name" text NOT NULL,
	"initials" text NOT NULL,
	"hand" text,
	"skills" jsonb NOT NULL,
	"wander_mm" double precision,
	"active" boolean NOT NULL
);
--> statement-breakpoint
ALTER TABLE "change" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "crew_member" ADD COLUMN "person_id" uuid;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "changed_by_id" uuid;--> statement-breakpoint
ALTER TABLE "rate" ADD COLUMN "changed_by_id" uuid;--> statement-breakpoint
ALTER TABLE "roll" ADD COLUMN "changed_by_id" uuid;--> statement-breakpoint
ALTER TABLE "supply" ADD COLUMN "changed_by_id" uuid;--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "crew_member" ADD CONSTRAINT "crew_member_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "film_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rate" ADD CONSTRAINT "rate_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "roll" ADD CONSTRAINT "roll_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "supply" ADD CONSTRAINT "supply_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
-- Everybody who is named becomes a person of the shop: with the skills of the crew, else with all there are.
INSERT INTO "person" ("id", "version", "changed_by", "changed_at", "name", "initials", "skills", "active")
SELECT (lpad(to_hex((extract(epoch FROM clock_timestamp()) * 1000)::bigint), 12, '0') || '7' || substr(md5(named."name"), 1, 3) || '8' || substr(md5(random()::text), 1, 15))::uuid, 1, named."name", now(), named."name",
	upper(left(named."name", 1)),
	coalesce((SELECT jsonb_agg(DISTINCT skill.value) FROM "crew_member" c, jsonb_array_elements(c."skills") skill WHERE c."name" = named."name" AND skill.value IN ('"film"', '"heat"')),
		CASE WHEN EXISTS (SELECT FROM "crew_member" c WHERE c."name" = named."name") THEN '[]'::jsonb ELSE '["film", "heat"]'::jsonb END),
	true
FROM (SELECT "name" FROM "crew_member" UNION SELECT "who" FROM "change" UNION SELECT "changed_by" FROM "film" UNION SELECT "changed_by" FROM "roll" UNION SELECT "changed_by" FROM "rate" UNION SELECT "changed_by" FROM "supply") named("name");--> statement-breakpoint
UPDATE "crew_member" SET "person_id" = p."id" FROM "person" p WHERE p."name" = "crew_member"."name";--> statement-breakpoint
UPDATE "change" SET "person_id" = p."id" FROM "person" p WHERE p."name" = "change"."who";--> statement-breakpoint
UPDATE "film" SET "changed_by_id" = p."id" FROM "person" p WHERE p."name" = "film"."changed_by";--> statement-breakpoint
UPDATE "roll" SET "changed_by_id" = p."id" FROM "person" p WHERE p."name" = "roll"."changed_by";--> statement-breakpoint
UPDATE "rate" SET "changed_by_id" = p."id" FROM "person" p WHERE p."name" = "rate"."changed_by";--> statement-breakpoint
UPDATE "supply" SET "changed_by_id" = p."id" FROM "person" p WHERE p."name" = "supply"."changed_by";--> statement-breakpoint
UPDATE "person" SET "changed_by_id" = "id";
