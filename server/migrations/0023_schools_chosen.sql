ALTER TABLE "application" DROP COLUMN "liner_school";--> statement-breakpoint
ALTER TABLE "application" DROP COLUMN "lock_school";--> statement-breakpoint
ALTER TABLE "application" DROP COLUMN "trim_school";--> statement-breakpoint
ALTER TABLE "day_settings" DROP COLUMN "shrink";