CREATE TABLE "inspection" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"surface_id" uuid NOT NULL,
	"rule_set_id" uuid,
	"set_name" text NOT NULL,
	"set_version" integer NOT NULL,
	"distance_mm" double precision NOT NULL,
	"light" text NOT NULL,
	"views" jsonb NOT NULL,
	"inputs_hash" text NOT NULL,
	"begun" jsonb NOT NULL,
	"accepted" jsonb,
	CONSTRAINT "inspection_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "look_tick" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"inspection_id" uuid NOT NULL,
	"view" text NOT NULL,
	"strip" integer NOT NULL,
	"said" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "mark_decision" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"mark_id" uuid NOT NULL,
	"inspection_id" uuid,
	"verdict" text NOT NULL,
	"by" text NOT NULL,
	"reason" text NOT NULL,
	"under" text NOT NULL,
	"inputs_hash" text NOT NULL,
	"watch_until" timestamp (3) with time zone,
	"said" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "rule_set" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"name" text NOT NULL,
	"set_version" integer NOT NULL,
	"copy_of" text NOT NULL,
	"source" jsonb NOT NULL,
	"rules" jsonb NOT NULL,
	CONSTRAINT "rule_set_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "visit" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"reasons" jsonb NOT NULL,
	"not_before" timestamp (3) with time zone,
	"due" timestamp (3) with time zone,
	"planned_at" timestamp (3) with time zone,
	"people" jsonb NOT NULL,
	"state" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "mark" ADD COLUMN "tests" jsonb DEFAULT '{"press":"not tried","warm":"not tried","shape":"not tried"}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "square" jsonb;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "outline" jsonb;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "pair_of_id" uuid;--> statement-breakpoint
ALTER TABLE "photo" ADD COLUMN "paired" text;--> statement-breakpoint
ALTER TABLE "inspection" ADD CONSTRAINT "inspection_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "inspection" ADD CONSTRAINT "inspection_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "inspection" ADD CONSTRAINT "inspection_rules" FOREIGN KEY ("job_id","rule_set_id") REFERENCES "public"."rule_set"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look_tick" ADD CONSTRAINT "look_tick_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "look_tick" ADD CONSTRAINT "look_tick_inspection" FOREIGN KEY ("job_id","inspection_id") REFERENCES "public"."inspection"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark_decision" ADD CONSTRAINT "mark_decision_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark_decision" ADD CONSTRAINT "mark_decision_mark" FOREIGN KEY ("job_id","mark_id") REFERENCES "public"."mark"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark_decision" ADD CONSTRAINT "mark_decision_inspection" FOREIGN KEY ("job_id","inspection_id") REFERENCES "public"."inspection"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "rule_set" ADD CONSTRAINT "rule_set_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit" ADD CONSTRAINT "visit_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "look_tick_job" ON "look_tick" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "mark_decision_job" ON "mark_decision" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "visit_job" ON "visit" USING btree ("job_id","id");--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_job_id" UNIQUE("job_id","id");--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_pair" FOREIGN KEY ("job_id","pair_of_id") REFERENCES "public"."photo"("job_id","id") ON DELETE no action ON UPDATE no action;