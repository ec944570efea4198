ALTER TABLE "application" ADD COLUMN "over" jsonb;--> statement-breakpoint
ALTER TABLE "cut_piece" ADD COLUMN "sector" jsonb;--> statement-breakpoint
ALTER TABLE "cut_plan" ADD COLUMN "liner" text DEFAULT 'up' NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_roll" ADD COLUMN "left_edge" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "cut_roll" ADD COLUMN "right_edge" boolean DEFAULT true NOT NULL;--> statement-breakpoint
UPDATE "cut_roll" SET "left_edge" = s."left_edge", "right_edge" = s."right_edge" FROM (SELECT "id", "left_edge", "right_edge" FROM "roll" UNION ALL SELECT "id", "left_edge", "right_edge" FROM "offcut") s WHERE s."id" = "cut_roll"."stock_id";--> statement-breakpoint
-- Outlines were kept as seen from the other side of the roll: rolls with any are turned round, pieces and outlines together, so that what nests still nests.
UPDATE "cut_piece" SET
	"x_nm" = r."width_nm" - "cut_piece"."x_nm" - "cut_piece"."across_nm",
	"outline" = CASE WHEN jsonb_typeof("cut_piece"."outline") = 'array' THEN (
		SELECT jsonb_agg(jsonb_build_object('x', round("cut_piece"."across_nm" / 1000000.0 - (corner->>'x')::numeric, 2), 'y', corner->'y') ORDER BY place)
		FROM jsonb_array_elements("cut_piece"."outline") WITH ORDINALITY AS corners(corner, place)
	) ELSE "cut_piece"."outline" END
FROM "cut_roll" r
WHERE r."id" = "cut_piece"."roll_id" AND EXISTS (SELECT 1 FROM "cut_piece" o WHERE o."roll_id" = r."id" AND jsonb_typeof(o."outline") = 'array');
