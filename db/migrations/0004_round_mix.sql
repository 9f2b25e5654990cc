DROP TABLE "posterior" CASCADE;--> statement-breakpoint
ALTER TABLE "academy" ADD COLUMN "half_life_days" integer DEFAULT 60;--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "round_mix" jsonb;--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "dreads" jsonb;