CREATE TABLE "film_sheet" (
	"film_id" uuid PRIMARY KEY NOT NULL,
	"changed_by" text NOT NULL,
	"changed_by_id" uuid,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"name" text NOT NULL,
	"type" text NOT NULL,
	"data" "bytea" NOT NULL
);
--> statement-breakpoint
ALTER TABLE "film_sheet" ADD CONSTRAINT "film_sheet_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "film_sheet" ADD CONSTRAINT "film_sheet_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;