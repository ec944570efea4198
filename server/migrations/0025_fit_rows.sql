CREATE TABLE "gate_tick" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"application_id" uuid NOT NULL,
	"check" text NOT NULL,
	"answer" text NOT NULL,
	"word" text NOT NULL,
	"looked_at" timestamp (3) with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mark" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"application_id" uuid,
	"step" text,
	"look" text NOT NULL,
	"x_nm" bigint,
	"y_nm" bigint,
	"size_nm" bigint,
	"length_nm" bigint,
	"first_seen_at" timestamp (3) with time zone NOT NULL,
	"from" text NOT NULL,
	"note" text NOT NULL,
	"gone_at" timestamp (3) with time zone,
	CONSTRAINT "mark_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "reading" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"application_id" uuid,
	"step" text,
	"mark_id" uuid,
	"quantity" text NOT NULL,
	"instrument" text NOT NULL,
	"shown" text NOT NULL,
	"value" double precision NOT NULL,
	"settings" jsonb NOT NULL,
	"corrected" double precision,
	"plus_minus" double precision,
	"x_nm" bigint,
	"y_nm" bigint
);
--> statement-breakpoint
CREATE TABLE "wait_end" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"application_id" uuid NOT NULL,
	"step" text NOT NULL,
	"ended_at" timestamp (3) with time zone NOT NULL,
	"how" text NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "mark_id" uuid;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "application_id" uuid;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "step" text;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "taken_at" timestamp (3) with time zone;--> statement-breakpoint
ALTER TABLE "work_record" ADD COLUMN "rounds_at" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "work_record" ADD COLUMN "people" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "work_record" ADD COLUMN "deviation" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "work_record" ADD COLUMN "handed_to" jsonb;--> statement-breakpoint
ALTER TABLE "gate_tick" ADD CONSTRAINT "gate_tick_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "gate_tick" ADD CONSTRAINT "gate_tick_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_mark" FOREIGN KEY ("job_id","mark_id") REFERENCES "public"."mark"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wait_end" ADD CONSTRAINT "wait_end_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wait_end" ADD CONSTRAINT "wait_end_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "gate_tick_job" ON "gate_tick" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "reading_job" ON "reading" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "wait_end_job" ON "wait_end" USING btree ("job_id","id");--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_mark" FOREIGN KEY ("job_id","mark_id") REFERENCES "public"."mark"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;