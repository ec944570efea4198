CREATE TABLE "film_brief" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"place_id" uuid NOT NULL,
	"keep_view" integer NOT NULL,
	"hidden_by_day" integer NOT NULL,
	"hidden_by_night" integer NOT NULL,
	"less_heat" integer NOT NULL,
	"less_glare" integer NOT NULL,
	"protect_furnishings" integer NOT NULL,
	"slow_break_in" integer NOT NULL,
	"keep_warmth" integer NOT NULL,
	"look" text NOT NULL,
	"light_kept_least" double precision,
	"heat_off_least" double precision,
	"room_width_nm" bigint,
	"room_depth_nm" bigint,
	"room_height_nm" bigint,
	"coldest_c" double precision,
	"hottest_c" double precision
);
--> statement-breakpoint
ALTER TABLE "glass_pane" ALTER COLUMN "coated" SET DEFAULT 'unknown';--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "solar_reflected_room" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "haze" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "coverage" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "opening_nm" bigint;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "repeat_nm" bigint;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "face" text DEFAULT 'room side' NOT NULL;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "laying" text DEFAULT 'wet' NOT NULL;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "claims" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "glass_pane" ADD COLUMN "tint" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "glass_pane" ADD COLUMN "coating" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "glass_pane" ADD COLUMN "coated_side" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "glass_pane" ADD COLUMN "gas_after" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "glass_unit" ADD COLUMN "edge_finish" text DEFAULT 'unseen' NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "blind" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "heat_outlet" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "paint_age" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "paint_kind" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD COLUMN "tape_test" text DEFAULT 'not done' NOT NULL;--> statement-breakpoint
ALTER TABLE "film_brief" ADD CONSTRAINT "film_brief_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "film_brief" ADD CONSTRAINT "film_brief_place" FOREIGN KEY ("job_id","place_id") REFERENCES "public"."place"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "film_brief_job" ON "film_brief" USING btree ("job_id","id");