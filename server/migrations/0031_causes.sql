CREATE TABLE "cause_case" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"mark_ids" jsonb NOT NULL,
	"look" text NOT NULL,
	"answers" jsonb NOT NULL,
	"table_version" integer NOT NULL,
	"posterior" jsonb,
	"confirmed" text,
	"how" text,
	"said" jsonb
);
--> statement-breakpoint
ALTER TABLE "cause_case" ADD CONSTRAINT "cause_case_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cause_case_job" ON "cause_case" USING btree ("job_id","id");