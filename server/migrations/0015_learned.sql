CREATE TABLE "learned" (
	"key" text NOT NULL,
	"scope_kind" text NOT NULL,
	"scope_of" text NOT NULL,
	"version" integer NOT NULL,
	"changed_by" text NOT NULL,
	"changed_by_id" uuid,
	"changed_at" timestamp (3) with time zone NOT NULL,
	"value" double precision NOT NULL,
	"sd" double precision,
	"n" integer,
	"basis" text NOT NULL,
	"told_by" text NOT NULL,
	CONSTRAINT "learned_key_scope_kind_scope_of_pk" PRIMARY KEY("key","scope_kind","scope_of")
);
--> statement-breakpoint
ALTER TABLE "learned" ADD CONSTRAINT "learned_changed_by_id_person_id_fk" FOREIGN KEY ("changed_by_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
INSERT INTO "learned" ("key", "scope_kind", "scope_of", "version", "changed_by", "changed_by_id", "changed_at", "value", "basis", "told_by")
SELECT "key", '', '', "version", "changed_by", "changed_by_id", "changed_at", "value", CASE "mark" WHEN 'our guess' THEN 'ours' ELSE "mark" END, '' FROM "rate";
