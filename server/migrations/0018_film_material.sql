ALTER TABLE "film" ADD COLUMN "construction" text;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "tack" text;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "vapour_rate_gm2day" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "permeability_gmm" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "metal_open" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "shrink_along" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "shrink_across" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "shrink_at_c" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "shrink_easy" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "shrink_hard" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "shrink_limit" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "strain_careful" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "strain_limit" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "tension_min_c" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "tension_max_c" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "post_heat_c" double precision;--> statement-breakpoint
ALTER TABLE "film" ADD COLUMN "post_heat_s" double precision;