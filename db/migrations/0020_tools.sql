ALTER TABLE "academy" ADD COLUMN "shoe_m" double precision;--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "shoe_m" double precision;--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "swing_marks" jsonb DEFAULT '[]'::jsonb NOT NULL;