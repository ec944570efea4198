CREATE TABLE "supply" (
	"key" text PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"have" double precision NOT NULL
);
--> statement-breakpoint
ALTER TABLE "day_settings" ADD COLUMN "rest_days" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "day_settings" ADD COLUMN "come_from_c" double precision;--> statement-breakpoint
ALTER TABLE "day_settings" ADD COLUMN "roll_wrap" text DEFAULT 'boxed' NOT NULL;--> statement-breakpoint
ALTER TABLE "day_settings" ADD COLUMN "core_radius_mm" double precision DEFAULT 38 NOT NULL;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "left_fin_depth_nm" bigint;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "left_fin_beside_nm" bigint;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "right_fin_depth_nm" bigint;--> statement-breakpoint
ALTER TABLE "site_facts" ADD COLUMN "right_fin_beside_nm" bigint;