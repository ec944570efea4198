ALTER TABLE "cut_piece" ADD COLUMN "outline" jsonb;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "notch_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "top_along" boolean DEFAULT false NOT NULL;