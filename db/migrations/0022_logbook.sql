DROP INDEX "session_by_start";--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "title" text GENERATED ALWAYS AS (coalesce(spec ->> 'title', '')) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "tags" text[] DEFAULT '{}'::text[] NOT NULL;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "met" boolean;--> statement-breakpoint
CREATE INDEX "session_by_title" ON "session" USING btree ("academy_id","title","session_id");--> statement-breakpoint
CREATE INDEX "session_by_start" ON "session" USING btree ("academy_id","started_at","session_id");--> statement-breakpoint
UPDATE "session" SET "scores_due" = true WHERE "completed_at" IS NOT NULL OR "stopped_at" IS NOT NULL;