ALTER TABLE "crew_member" DROP COLUMN "skills";
