CREATE TABLE "brief" (
	"academy_id" text NOT NULL,
	"player_id" uuid NOT NULL,
	"made_from" text NOT NULL,
	"brief" jsonb NOT NULL,
	CONSTRAINT "brief_academy_id_player_id_pk" PRIMARY KEY("academy_id","player_id")
);
--> statement-breakpoint
ALTER TABLE "academy" ADD COLUMN "strokes_as" text DEFAULT 'lost' NOT NULL;--> statement-breakpoint
ALTER TABLE "brief" ADD CONSTRAINT "brief_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "brief" ADD CONSTRAINT "brief_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;