CREATE TABLE "weeks" (
	"academy_id" text NOT NULL,
	"weeks_id" uuid NOT NULL,
	"weeks" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	"archived_at" timestamp with time zone,
	CONSTRAINT "weeks_academy_id_weeks_id_pk" PRIMARY KEY("academy_id","weeks_id")
);
--> statement-breakpoint
CREATE TABLE "weeks_player" (
	"academy_id" text NOT NULL,
	"weeks_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "weeks_player_academy_id_weeks_id_player_id_pk" PRIMARY KEY("academy_id","weeks_id","player_id")
);
--> statement-breakpoint
ALTER TABLE "weeks" ADD CONSTRAINT "weeks_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weeks_player" ADD CONSTRAINT "weeks_player_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weeks_player" ADD CONSTRAINT "weeks_player_academy_id_weeks_id_weeks_academy_id_weeks_id_fk" FOREIGN KEY ("academy_id","weeks_id") REFERENCES "public"."weeks"("academy_id","weeks_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "weeks_player" ADD CONSTRAINT "weeks_player_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "weeks_player_by_player" ON "weeks_player" USING btree ("academy_id","player_id");