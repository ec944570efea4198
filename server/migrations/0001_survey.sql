CREATE TABLE "part" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"name" text NOT NULL,
	"x_nm" bigint,
	"y_nm" bigint,
	"width_nm" bigint,
	"height_nm" bigint,
	"depth_nm" bigint,
	"form" text NOT NULL,
	"count" integer NOT NULL,
	"taken_off_at" timestamp (3) with time zone,
	"put_back_at" timestamp (3) with time zone,
	"remark" text NOT NULL,
	"position" double precision NOT NULL,
	CONSTRAINT "part_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "photo" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"part_id" uuid,
	"caption" text NOT NULL,
	"width_px" integer NOT NULL,
	"height_px" integer NOT NULL,
	"bytes" integer NOT NULL,
	"position" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "photo_file" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"data" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "site_facts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"storey" integer,
	"access_height_nm" bigint,
	"reach" text NOT NULL,
	"trim_overlap_nm" bigint,
	"obstacles" text NOT NULL,
	"floor" text NOT NULL,
	"power" text NOT NULL,
	"crew" text NOT NULL,
	"film_face" text NOT NULL,
	"sealant_to_cut" text NOT NULL,
	"tilt_deg" double precision,
	"overhang_depth_nm" bigint,
	"overhang_above_nm" bigint,
	"reveal_depth_nm" bigint
);
--> statement-breakpoint
CREATE TABLE "wall_facts" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"texture" text NOT NULL,
	"bond" text NOT NULL,
	"unit_width_nm" bigint,
	"unit_height_nm" bigint,
	"joint_width_nm" bigint,
	"joint_depth_nm" bigint,
	"paint" text NOT NULL,
	"state" text NOT NULL,
	"left_corner" text NOT NULL,
	"right_corner" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "measure" ADD COLUMN "kind" text DEFAULT 'distance' NOT NULL;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "latitude_deg" double precision;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "longitude_deg" double precision;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "altitude_m" double precision;--> statement-breakpoint
ALTER TABLE "place" ADD COLUMN "horizon" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "surface" ADD COLUMN "shape" text DEFAULT 'four sides' NOT NULL;--> statement-breakpoint
ALTER TABLE "surface" ADD COLUMN "corners" integer;--> statement-breakpoint
ALTER TABLE "surface" ADD COLUMN "same_as_id" uuid;--> statement-breakpoint
ALTER TABLE "surface" ADD COLUMN "at_x_nm" bigint;--> statement-breakpoint
ALTER TABLE "surface" ADD COLUMN "at_y_nm" bigint;--> statement-breakpoint
ALTER TABLE "part" ADD CONSTRAINT "part_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "part" ADD CONSTRAINT "part_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_part" FOREIGN KEY ("job_id","part_id") REFERENCES "public"."part"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo_file" ADD CONSTRAINT "photo_file_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_facts" ADD CONSTRAINT "site_facts_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_facts" ADD CONSTRAINT "site_facts_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD CONSTRAINT "wall_facts_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wall_facts" ADD CONSTRAINT "wall_facts_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "photo_job" ON "photo" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "site_facts_job" ON "site_facts" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "wall_facts_job" ON "wall_facts" USING btree ("job_id","id");--> statement-breakpoint
ALTER TABLE "surface" ADD CONSTRAINT "surface_same_as" FOREIGN KEY ("job_id","same_as_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
UPDATE "surface" SET "shape" = CASE "kind" WHEN 'fixture' THEN 'panel' WHEN 'wall' THEN 'wall' WHEN 'column' THEN 'round column' ELSE 'four sides' END;
