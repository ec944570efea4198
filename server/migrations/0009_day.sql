CREATE TABLE "crew_member" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"name" text NOT NULL,
	"skills" jsonb NOT NULL,
	"begins" integer NOT NULL,
	"ends" integer NOT NULL,
	"break_begins" integer NOT NULL,
	"break_ends" integer NOT NULL,
	"position" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "day_settings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"first_day" text NOT NULL,
	"days" integer NOT NULL,
	"zone" text NOT NULL,
	"indoor_c" double precision,
	"indoor_humidity" double precision,
	"bearing_doubt_deg" double precision NOT NULL,
	"slip" text NOT NULL,
	"primer" text NOT NULL,
	"shrink" text NOT NULL,
	"tools" jsonb NOT NULL,
	"packed" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "planned_step" (
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
	"starts_at" timestamp (3) with time zone NOT NULL,
	"ends_at" timestamp (3) with time zone NOT NULL,
	"steps" jsonb NOT NULL,
	"people" jsonb NOT NULL,
	"pinned" boolean NOT NULL
);
--> statement-breakpoint
ALTER TABLE "crew_member" ADD CONSTRAINT "crew_member_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "day_settings" ADD CONSTRAINT "day_settings_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_step" ADD CONSTRAINT "planned_step_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "planned_step" ADD CONSTRAINT "planned_step_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "crew_member_job" ON "crew_member" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "day_settings_job" ON "day_settings" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "planned_step_job" ON "planned_step" USING btree ("job_id","id");