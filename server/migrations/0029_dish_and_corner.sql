ALTER TABLE "part" ADD COLUMN "plan_radius_nm" bigint;--> statement-breakpoint
ALTER TABLE "part" ADD COLUMN "edge_radius_nm" bigint;