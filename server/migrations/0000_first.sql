CREATE TABLE "application" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"side" text NOT NULL,
	"film_id" uuid NOT NULL,
	"method" text NOT NULL,
	"liner_school" text NOT NULL,
	"lock_school" text NOT NULL,
	"trim_school" text NOT NULL,
	"position" double precision NOT NULL,
	CONSTRAINT "application_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "change" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"session" uuid NOT NULL,
	"who" text NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "change_id_unique" UNIQUE("id")
);
--> statement-breakpoint
CREATE TABLE "cut_piece" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"plan_id" uuid NOT NULL,
	"application_id" uuid NOT NULL,
	"tag" text NOT NULL,
	"position" integer NOT NULL,
	"level" integer NOT NULL,
	"x_nm" bigint NOT NULL,
	"y_nm" bigint NOT NULL,
	"across_nm" bigint NOT NULL,
	"along_nm" bigint NOT NULL,
	"turned" boolean NOT NULL,
	"inputs_hash" text NOT NULL,
	"cut_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "cut_plan" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"film_id" uuid NOT NULL,
	"roll_width_nm" bigint NOT NULL,
	"length_used_nm" bigint NOT NULL,
	"bound_nm" bigint NOT NULL,
	"solver" text NOT NULL,
	CONSTRAINT "cut_plan_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "film" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"name" text NOT NULL,
	"family" text NOT NULL,
	"use" text NOT NULL,
	"thickness_um" double precision NOT NULL,
	"direction" text NOT NULL,
	"reference_glass" text NOT NULL,
	"uv_transmitted" double precision,
	"visible_transmitted" double precision,
	"visible_reflected_room" double precision,
	"visible_reflected_outside" double precision,
	"solar_transmitted" double precision,
	"solar_reflected" double precision,
	"emissivity" double precision,
	"work_min_c" double precision,
	"work_max_c" double precision,
	"handling" text NOT NULL,
	"invented" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "film_width" (
	"film_id" uuid NOT NULL,
	"width_nm" bigint NOT NULL,
	CONSTRAINT "film_width_film_id_width_nm_pk" PRIMARY KEY("film_id","width_nm")
);
--> statement-breakpoint
CREATE TABLE "glass_pane" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"unit_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"treatment" text NOT NULL,
	"thickness_nm" bigint,
	"coated" text NOT NULL,
	"gap_after_nm" bigint
);
--> statement-breakpoint
CREATE TABLE "glass_unit" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"name" text NOT NULL,
	"glazing" text NOT NULL,
	"frame" text NOT NULL,
	"edge" text NOT NULL,
	CONSTRAINT "glass_unit_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "history" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"seq" bigint NOT NULL,
	"table_name" text NOT NULL,
	"row_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"op" text NOT NULL,
	"before" jsonb,
	"after" jsonb
);
--> statement-breakpoint
CREATE TABLE "job" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"name" text NOT NULL,
	"entry_unit" text NOT NULL,
	"archived" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "measure" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"from_point" text NOT NULL,
	"to_point" text NOT NULL,
	"text" text NOT NULL,
	"unit" text NOT NULL,
	"value_nm" bigint NOT NULL,
	"instrument" text NOT NULL,
	"sd_nm" bigint
);
--> statement-breakpoint
CREATE TABLE "place" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"parent_id" uuid,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"bearing_deg" double precision,
	"movable" boolean NOT NULL,
	"position" double precision NOT NULL,
	CONSTRAINT "place_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "rate" (
	"key" text PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"value" double precision NOT NULL,
	"mark" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "surface" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"place_id" uuid NOT NULL,
	"unit_id" uuid,
	"tag" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"seen_from" text NOT NULL,
	"condition" text NOT NULL,
	"remark" text NOT NULL,
	"position" double precision NOT NULL,
	CONSTRAINT "surface_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "work_record" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"application_id" uuid NOT NULL,
	"template" text NOT NULL,
	"step" text NOT NULL,
	"template_version" integer NOT NULL,
	"started_at" timestamp (3) with time zone,
	"done_at" timestamp (3) with time zone,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "application" ADD CONSTRAINT "application_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD CONSTRAINT "cut_piece_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD CONSTRAINT "cut_piece_plan" FOREIGN KEY ("job_id","plan_id") REFERENCES "public"."cut_plan"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD CONSTRAINT "cut_piece_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD CONSTRAINT "cut_plan_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD CONSTRAINT "cut_plan_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "film_width" ADD CONSTRAINT "film_width_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "glass_pane" ADD CONSTRAINT "glass_pane_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "glass_pane" ADD CONSTRAINT "glass_pane_unit" FOREIGN KEY ("job_id","unit_id") REFERENCES "public"."glass_unit"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "glass_unit" ADD CONSTRAINT "glass_unit_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "history" ADD CONSTRAINT "history_seq_change_seq_fk" FOREIGN KEY ("seq") REFERENCES "public"."change"("seq") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measure" ADD CONSTRAINT "measure_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measure" ADD CONSTRAINT "measure_surface_fk" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "place" ADD CONSTRAINT "place_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "place" ADD CONSTRAINT "place_parent" FOREIGN KEY ("job_id","parent_id") REFERENCES "public"."place"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surface" ADD CONSTRAINT "surface_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surface" ADD CONSTRAINT "surface_place" FOREIGN KEY ("job_id","place_id") REFERENCES "public"."place"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surface" ADD CONSTRAINT "surface_unit" FOREIGN KEY ("job_id","unit_id") REFERENCES "public"."glass_unit"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "work_record" ADD CONSTRAINT "work_record_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "work_record" ADD CONSTRAINT "work_record_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "change_job" ON "change" USING btree ("job_id","seq");--> statement-breakpoint
CREATE INDEX "cut_piece_job" ON "cut_piece" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "glass_pane_job" ON "glass_pane" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "history_row" ON "history" USING btree ("row_id","version");--> statement-breakpoint
CREATE INDEX "history_seq" ON "history" USING btree ("seq");--> statement-breakpoint
CREATE INDEX "measure_job" ON "measure" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "measure_surface" ON "measure" USING btree ("surface_id");--> statement-breakpoint
CREATE INDEX "work_record_job" ON "work_record" USING btree ("job_id","id");