CREATE TABLE "case_apart" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"removed" boolean NOT NULL,
	"changed_by" text NOT NULL,
	"changed_by_id" uuid,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"where" text NOT NULL,
	"look" text NOT NULL,
	"answers" jsonb NOT NULL,
	"table_version" integer NOT NULL,
	"posterior" jsonb,
	"confirmed" text,
	"how" text,
	"remedy" text
);
--> statement-breakpoint
ALTER TABLE "cause_case" ADD COLUMN "remedy" text;--> statement-breakpoint
ALTER TABLE "case_apart" ADD CONSTRAINT "case_apart_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;