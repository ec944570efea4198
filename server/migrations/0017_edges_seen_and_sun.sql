ALTER TABLE "site_facts" ADD COLUMN "sun" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "surface" ADD COLUMN "edges_seen" jsonb;