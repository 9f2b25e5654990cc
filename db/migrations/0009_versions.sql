ALTER TABLE "shot_event" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "shot_event" ADD COLUMN "more" jsonb;