ALTER TABLE "player" ADD COLUMN "saved_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "balls" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "over_from" integer DEFAULT 0;--> statement-breakpoint
ALTER TABLE "shot_event" ADD COLUMN "clock_behind_ms" bigint;--> statement-breakpoint
UPDATE "session" AS "s" SET "balls" = "of"."balls" FROM (SELECT "academy_id", "session_id", sum("n_balls")::int AS "balls" FROM "shot" GROUP BY 1, 2) AS "of" WHERE "of"."academy_id" = "s"."academy_id" AND "of"."session_id" = "s"."session_id";
