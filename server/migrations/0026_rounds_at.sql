-- Rounds keep when each was done; of those counted so far that is not known.
UPDATE "work_record" SET "rounds_at" = (SELECT jsonb_agg(null::jsonb) FROM generate_series(1, "round")) WHERE "round" > 0;--> statement-breakpoint
-- Waits ended by hand were records of work under a name of their own.
INSERT INTO "wait_end" ("id", "job_id", "version", "made_by", "made_at", "changed_by", "changed_at", "removed", "application_id", "step", "ended_at", "how", "reason")
  SELECT "id", "job_id", "version", "made_by", "made_at", "changed_by", "changed_at", "removed", "application_id", substr("step", 6), "done_at", 'by hand', ''
  FROM "work_record" WHERE "step" LIKE 'wait:%' AND "done_at" IS NOT NULL;--> statement-breakpoint
DELETE FROM "work_record" WHERE "step" LIKE 'wait:%';--> statement-breakpoint
ALTER TABLE "work_record" DROP COLUMN "round";
