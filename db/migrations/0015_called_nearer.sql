ALTER TABLE "shot" ADD COLUMN "called" text;--> statement-breakpoint
ALTER TABLE "shot" ADD COLUMN "nearer" boolean;--> statement-breakpoint
ALTER TABLE "shot" ADD COLUMN "landed_side" text;