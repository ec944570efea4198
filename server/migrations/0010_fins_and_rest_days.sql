ALTER TABLE "day_settings" ADD COLUMN "rest_days" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "left_fin_depth_nm" bigint;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "left_fin_beside_nm" bigint;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "right_fin_depth_nm" bigint;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "right_fin_beside_nm" bigint;