ALTER TABLE "session" ADD COLUMN "scores_due" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "score" double precision;--> statement-breakpoint
UPDATE "session" SET "scores_due" = true WHERE "completed_at" IS NOT NULL OR "stopped_at" IS NOT NULL;
