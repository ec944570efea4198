ALTER TABLE "job" ADD COLUMN "currency" text;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "tax_percent" double precision;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "hour_cost" double precision;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "trip_cost" double precision;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "margin_percent" double precision;