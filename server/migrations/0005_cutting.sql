CREATE TABLE "cut_roll" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"plan_id" uuid NOT NULL,
	"stock_id" uuid,
	"what" text NOT NULL,
	"label" text NOT NULL,
	"lot" text NOT NULL,
	"width_nm" bigint NOT NULL,
	"length_nm" bigint NOT NULL,
	"used_nm" bigint NOT NULL,
	"position" integer NOT NULL,
	"ticks" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"booked_at" timestamp (3) with time zone,
	CONSTRAINT "cut_roll_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "job_allowance" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"method" text NOT NULL,
	"top_nm" bigint NOT NULL,
	"right_nm" bigint NOT NULL,
	"bottom_nm" bigint NOT NULL,
	"left_nm" bigint NOT NULL
);
--> statement-breakpoint
CREATE TABLE "offcut" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"cut_roll_id" uuid NOT NULL,
	"parent_id" uuid,
	"film_id" uuid NOT NULL,
	"label" text NOT NULL,
	"lot" text NOT NULL,
	"width_nm" bigint NOT NULL,
	"length_nm" bigint NOT NULL,
	"per_metre" double precision,
	"left_edge" boolean NOT NULL,
	"right_edge" boolean NOT NULL,
	"where" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "roll" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"film_id" uuid NOT NULL,
	"what" text NOT NULL,
	"label" text NOT NULL,
	"lot" text NOT NULL,
	"width_nm" bigint NOT NULL,
	"length_nm" bigint NOT NULL,
	"per_metre" double precision,
	"left_edge" boolean NOT NULL,
	"right_edge" boolean NOT NULL,
	"where" text NOT NULL,
	"gone" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "seam_choice" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"application_id" uuid NOT NULL,
	"kind" text,
	"placing" text,
	"match" text,
	"first_drop" text
);
--> statement-breakpoint
CREATE TABLE "stock_take" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"cut_roll_id" uuid NOT NULL,
	"stock_id" uuid NOT NULL,
	"length_nm" bigint NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "roll_id" uuid;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "drop" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "drop_of" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "phase_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "pinned" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "spoiled_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "mode" text DEFAULT 'by hand' NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "stages" integer DEFAULT 3 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "gap_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "end_waste_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "most_sheet_nm" bigint;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "objective" text DEFAULT 'length' NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "edge_must" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "film_cost" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "cost" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "film_bound" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "stopped" text DEFAULT 'limit' NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_roll" ADD CONSTRAINT "cut_roll_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_roll" ADD CONSTRAINT "cut_roll_plan" FOREIGN KEY ("job_id","plan_id") REFERENCES "public"."cut_plan"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
-- Plans made before lay on one roll each: it takes the plan's own identifier.
INSERT INTO "cut_roll" ("id", "job_id", "version", "made_by", "made_at", "changed_by", "changed_at", "removed", "plan_id", "stock_id", "what", "label", "lot", "width_nm", "length_nm", "used_nm", "position", "ticks", "booked_at")
SELECT "id", "job_id", 1, "made_by", "made_at", "changed_by", "changed_at", "removed", "id", NULL, 'to order', '', '', "roll_width_nm", "length_used_nm", "length_used_nm", 0, '[]'::jsonb, NULL FROM "cut_plan";--> statement-breakpoint
UPDATE "cut_piece" SET "roll_id" = "plan_id";--> statement-breakpoint
ALTER TABLE "cut_piece" ALTER COLUMN "roll_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "job_allowance" ADD CONSTRAINT "job_allowance_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offcut" ADD CONSTRAINT "offcut_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offcut" ADD CONSTRAINT "offcut_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "offcut" ADD CONSTRAINT "offcut_roll" FOREIGN KEY ("job_id","cut_roll_id") REFERENCES "public"."cut_roll"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "roll" ADD CONSTRAINT "roll_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "seam_choice" ADD CONSTRAINT "seam_choice_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "seam_choice" ADD CONSTRAINT "seam_choice_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_take" ADD CONSTRAINT "stock_take_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_take" ADD CONSTRAINT "stock_take_roll" FOREIGN KEY ("job_id","cut_roll_id") REFERENCES "public"."cut_roll"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "job_allowance_job" ON "job_allowance" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "offcut_job" ON "offcut" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "offcut_film" ON "offcut" USING btree ("film_id");--> statement-breakpoint
CREATE INDEX "seam_choice_job" ON "seam_choice" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "stock_take_job" ON "stock_take" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "stock_take_stock" ON "stock_take" USING btree ("stock_id");--> statement-breakpoint
ALTER TABLE "cut_piece" ADD CONSTRAINT "cut_piece_roll" FOREIGN KEY ("job_id","roll_id") REFERENCES "public"."cut_roll"("job_id","id") ON DELETE no action ON UPDATE no action;