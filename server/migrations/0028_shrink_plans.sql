CREATE TABLE "own_plan" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"application_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"changes" jsonb NOT NULL,
	"inputs_hash" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shelf_pane" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"removed" boolean NOT NULL,
	"changed_by" text NOT NULL,
	"changed_by_id" uuid,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"make" text NOT NULL,
	"model" text NOT NULL,
	"year" text NOT NULL,
	"pane" text NOT NULL,
	"measures" jsonb NOT NULL,
	"hold" text,
	"plan" jsonb NOT NULL,
	"went_wrong" text NOT NULL,
	"note" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "test_piece" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"kind" text NOT NULL,
	"film_id" uuid NOT NULL,
	"lot" text NOT NULL,
	"surface_id" uuid,
	"weather" text NOT NULL,
	"fields" jsonb NOT NULL,
	"outcome" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "work_record" ADD COLUMN "folds_said" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "own_plan" ADD CONSTRAINT "own_plan_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_plan" ADD CONSTRAINT "own_plan_application" FOREIGN KEY ("job_id","application_id") REFERENCES "public"."application"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shelf_pane" ADD CONSTRAINT "shelf_pane_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_piece" ADD CONSTRAINT "test_piece_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_piece" ADD CONSTRAINT "test_piece_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_piece" ADD CONSTRAINT "test_piece_surface" FOREIGN KEY ("job_id","surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "own_plan_job" ON "own_plan" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "test_piece_job" ON "test_piece" USING btree ("job_id","id");