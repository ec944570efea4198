ALTER TABLE "cut_plan" DROP COLUMN "roll_width_nm";--> statement-breakpoint
ALTER TABLE "cut_plan" DROP COLUMN "solver";