CREATE TABLE "arrival" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"found" jsonb NOT NULL,
	"note" text NOT NULL,
	"signature" jsonb NOT NULL,
	"by" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "customer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"removed" boolean NOT NULL,
	"changed_by" text NOT NULL,
	"changed_by_id" uuid,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"contacts" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "enquiry" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"caller" text NOT NULL,
	"phone" text NOT NULL,
	"wish" text NOT NULL,
	"asked" jsonb NOT NULL,
	"rough" jsonb,
	"half_day" jsonb,
	"said" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "extra" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"number" text NOT NULL,
	"text" text NOT NULL,
	"like_surface_id" uuid,
	"count" integer NOT NULL,
	"net" double precision NOT NULL,
	"currency" text NOT NULL,
	"tax_percent" double precision,
	"basis" text NOT NULL,
	"signature" jsonb,
	"by" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "hand_over" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"as_of" text NOT NULL,
	"panes" jsonb NOT NULL,
	"open" jsonb NOT NULL,
	"note" text NOT NULL,
	"signature" jsonb NOT NULL,
	"by" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "payment" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"kind" text NOT NULL,
	"number" text NOT NULL,
	"lines" jsonb NOT NULL,
	"currency" text NOT NULL,
	"tax_percent" double precision,
	"due_day" text,
	"up_to_day" text,
	"signature" jsonb,
	"asked" jsonb,
	"paid" jsonb
);
--> statement-breakpoint
CREATE TABLE "quote" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp (3) with time zone NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"removed" boolean NOT NULL,
	"number" text NOT NULL,
	"name" text NOT NULL,
	"alternative_of_id" uuid,
	"valid_until" text,
	"swaps" jsonb NOT NULL,
	"paper" jsonb NOT NULL,
	"sent" jsonb,
	"answer" jsonb,
	CONSTRAINT "quote_job_id" UNIQUE("job_id","id")
);
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "customer_id" uuid;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "street" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "access_hours" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "site_contact" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "keys" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "lift" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "water_and_power" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "arrival" ADD CONSTRAINT "arrival_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "customer" ADD CONSTRAINT "customer_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "enquiry" ADD CONSTRAINT "enquiry_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "extra" ADD CONSTRAINT "extra_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "extra" ADD CONSTRAINT "extra_like" FOREIGN KEY ("job_id","like_surface_id") REFERENCES "public"."surface"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hand_over" ADD CONSTRAINT "hand_over_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "payment" ADD CONSTRAINT "payment_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "quote" ADD CONSTRAINT "quote_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "quote" ADD CONSTRAINT "quote_alternative" FOREIGN KEY ("job_id","alternative_of_id") REFERENCES "public"."quote"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "arrival_job" ON "arrival" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "enquiry_job" ON "enquiry" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "extra_job" ON "extra" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "hand_over_job" ON "hand_over" USING btree ("job_id","id");--> statement-breakpoint
CREATE INDEX "payment_job" ON "payment" USING btree ("job_id","id");--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_customer_id_customer_id_fk" FOREIGN KEY ("customer_id") REFERENCES "public"."customer"("id") ON DELETE no action ON UPDATE no action;