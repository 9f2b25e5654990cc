CREATE TABLE "hour" (
	"academy_id" text NOT NULL,
	"hour_id" uuid NOT NULL,
	"day" date,
	"hour" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	"archived_at" timestamp with time zone,
	CONSTRAINT "hour_academy_id_hour_id_pk" PRIMARY KEY("academy_id","hour_id")
);
--> statement-breakpoint
CREATE TABLE "hour_game" (
	"academy_id" text NOT NULL,
	"hour_id" uuid NOT NULL,
	"game_id" uuid NOT NULL,
	CONSTRAINT "hour_game_academy_id_hour_id_game_id_pk" PRIMARY KEY("academy_id","hour_id","game_id")
);
--> statement-breakpoint
CREATE TABLE "hour_player" (
	"academy_id" text NOT NULL,
	"hour_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "hour_player_academy_id_hour_id_player_id_pk" PRIMARY KEY("academy_id","hour_id","player_id")
);
--> statement-breakpoint
CREATE TABLE "hour_run" (
	"academy_id" text NOT NULL,
	"run_id" uuid NOT NULL,
	"hour_id" uuid NOT NULL,
	"run" jsonb NOT NULL,
	"change" integer NOT NULL,
	"started_at" timestamp with time zone NOT NULL,
	CONSTRAINT "hour_run_academy_id_run_id_pk" PRIMARY KEY("academy_id","run_id")
);
--> statement-breakpoint
CREATE TABLE "school" (
	"academy_id" text NOT NULL,
	"school_id" uuid NOT NULL,
	"school" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "school_academy_id_school_id_pk" PRIMARY KEY("academy_id","school_id")
);
--> statement-breakpoint
ALTER TABLE "game" ADD COLUMN "listed" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "hour" ADD CONSTRAINT "hour_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_game" ADD CONSTRAINT "hour_game_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_game" ADD CONSTRAINT "hour_game_academy_id_hour_id_hour_academy_id_hour_id_fk" FOREIGN KEY ("academy_id","hour_id") REFERENCES "public"."hour"("academy_id","hour_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_game" ADD CONSTRAINT "hour_game_academy_id_game_id_game_academy_id_game_id_fk" FOREIGN KEY ("academy_id","game_id") REFERENCES "public"."game"("academy_id","game_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_player" ADD CONSTRAINT "hour_player_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_player" ADD CONSTRAINT "hour_player_academy_id_hour_id_hour_academy_id_hour_id_fk" FOREIGN KEY ("academy_id","hour_id") REFERENCES "public"."hour"("academy_id","hour_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_player" ADD CONSTRAINT "hour_player_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_run" ADD CONSTRAINT "hour_run_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hour_run" ADD CONSTRAINT "hour_run_academy_id_hour_id_hour_academy_id_hour_id_fk" FOREIGN KEY ("academy_id","hour_id") REFERENCES "public"."hour"("academy_id","hour_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "school" ADD CONSTRAINT "school_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "hour_by_day" ON "hour" USING btree ("academy_id","day");--> statement-breakpoint
CREATE INDEX "hour_game_by_game" ON "hour_game" USING btree ("academy_id","game_id");--> statement-breakpoint
CREATE INDEX "hour_player_by_player" ON "hour_player" USING btree ("academy_id","player_id");--> statement-breakpoint
CREATE INDEX "hour_run_by_hour" ON "hour_run" USING btree ("academy_id","hour_id");