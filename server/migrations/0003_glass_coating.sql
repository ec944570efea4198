UPDATE "glass_pane" SET "coating" = 'none' WHERE "coated" = 'no';--> statement-breakpoint
ALTER TABLE "glass_pane" DROP COLUMN "coated";