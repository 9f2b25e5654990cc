CREATE TABLE "auth_account" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" text NOT NULL,
	"provider_id" text NOT NULL,
	"user_id" text NOT NULL,
	"access_token" text,
	"refresh_token" text,
	"id_token" text,
	"access_token_expires_at" timestamp with time zone,
	"refresh_token_expires_at" timestamp with time zone,
	"scope" text,
	"password" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "auth_invitation" (
	"id" text PRIMARY KEY NOT NULL,
	"organization_id" text NOT NULL,
	"email" text NOT NULL,
	"role" text,
	"status" text DEFAULT 'pending' NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"inviter_id" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "auth_member" (
	"id" text PRIMARY KEY NOT NULL,
	"organization_id" text NOT NULL,
	"user_id" text NOT NULL,
	"role" text DEFAULT 'member' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "auth_organization" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"slug" text NOT NULL,
	"logo" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"metadata" text,
	CONSTRAINT "auth_organization_slug_unique" UNIQUE("slug")
);
--> statement-breakpoint
CREATE TABLE "auth_session" (
	"id" text PRIMARY KEY NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"token" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ip_address" text,
	"user_agent" text,
	"user_id" text NOT NULL,
	"active_organization_id" text,
	CONSTRAINT "auth_session_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "auth_user" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"email_verified" boolean DEFAULT false NOT NULL,
	"image" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "auth_user_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "auth_verification" (
	"id" text PRIMARY KEY NOT NULL,
	"identifier" text NOT NULL,
	"value" text NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "academy" (
	"academy_id" text NOT NULL,
	"units" text NOT NULL,
	"time_zone" text NOT NULL,
	CONSTRAINT "academy_academy_id_pk" PRIMARY KEY("academy_id")
);
--> statement-breakpoint
CREATE TABLE "club" (
	"academy_id" text NOT NULL,
	"player_id" uuid NOT NULL,
	"club_id" uuid NOT NULL,
	"label" text NOT NULL,
	"loft_deg" double precision NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "club_academy_id_player_id_club_id_pk" PRIMARY KEY("academy_id","player_id","club_id")
);
--> statement-breakpoint
CREATE TABLE "player" (
	"academy_id" text NOT NULL,
	"player_id" uuid NOT NULL,
	"name" text NOT NULL,
	"level" double precision NOT NULL,
	"handed" text NOT NULL,
	"units" text NOT NULL,
	"pace_m" double precision,
	"club_m" double precision,
	"putter_m" double precision,
	"evidence_rev" integer DEFAULT 0 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"archived_at" timestamp with time zone,
	CONSTRAINT "player_academy_id_player_id_pk" PRIMARY KEY("academy_id","player_id"),
	CONSTRAINT "player_level" CHECK ("player"."level" between -10 and 54)
);
--> statement-breakpoint
CREATE TABLE "player_link" (
	"academy_id" text NOT NULL,
	"link_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"token_hash" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "player_link_academy_id_link_id_pk" PRIMARY KEY("academy_id","link_id")
);
--> statement-breakpoint
CREATE TABLE "squad" (
	"academy_id" text NOT NULL,
	"squad_id" uuid NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "squad_academy_id_squad_id_pk" PRIMARY KEY("academy_id","squad_id")
);
--> statement-breakpoint
CREATE TABLE "squad_member" (
	"academy_id" text NOT NULL,
	"squad_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	CONSTRAINT "squad_member_academy_id_squad_id_player_id_pk" PRIMARY KEY("academy_id","squad_id","player_id")
);
--> statement-breakpoint
CREATE TABLE "game" (
	"academy_id" text NOT NULL,
	"game_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"archived_at" timestamp with time zone,
	CONSTRAINT "game_academy_id_game_id_pk" PRIMARY KEY("academy_id","game_id")
);
--> statement-breakpoint
CREATE TABLE "game_version" (
	"academy_id" text NOT NULL,
	"game_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"spec" jsonb NOT NULL,
	"hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "game_version_academy_id_game_id_version_pk" PRIMARY KEY("academy_id","game_id","version")
);
--> statement-breakpoint
CREATE TABLE "green" (
	"academy_id" text NOT NULL,
	"green_id" uuid NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"archived_at" timestamp with time zone,
	CONSTRAINT "green_academy_id_green_id_pk" PRIMARY KEY("academy_id","green_id")
);
--> statement-breakpoint
CREATE TABLE "green_version" (
	"academy_id" text NOT NULL,
	"green_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"plan" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "green_version_academy_id_green_id_version_pk" PRIMARY KEY("academy_id","green_id","version")
);
--> statement-breakpoint
CREATE TABLE "session" (
	"academy_id" text NOT NULL,
	"session_id" uuid NOT NULL,
	"game_id" uuid,
	"game_version" integer,
	"spec" jsonb NOT NULL,
	"green_id" uuid,
	"green_version" integer,
	"conditions" jsonb DEFAULT '{}'::jsonb NOT NULL,
	"started_at" timestamp with time zone DEFAULT now() NOT NULL,
	"stopped_at" timestamp with time zone,
	"completed_at" timestamp with time zone,
	CONSTRAINT "session_academy_id_session_id_pk" PRIMARY KEY("academy_id","session_id")
);
--> statement-breakpoint
CREATE TABLE "session_player" (
	"academy_id" text NOT NULL,
	"session_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "session_player_academy_id_session_id_player_id_pk" PRIMARY KEY("academy_id","session_id","player_id")
);
--> statement-breakpoint
CREATE TABLE "session_station" (
	"academy_id" text NOT NULL,
	"session_id" uuid NOT NULL,
	"station_key" text NOT NULL,
	"distance_m" double precision NOT NULL,
	"source" text NOT NULL,
	CONSTRAINT "session_station_academy_id_session_id_station_key_pk" PRIMARY KEY("academy_id","session_id","station_key")
);
--> statement-breakpoint
CREATE TABLE "posterior" (
	"academy_id" text NOT NULL,
	"player_id" uuid NOT NULL,
	"evidence_rev" integer NOT NULL,
	"half_life_days" integer NOT NULL,
	"as_of" date NOT NULL,
	"blob" "bytea" NOT NULL,
	CONSTRAINT "posterior_academy_id_player_id_evidence_rev_half_life_days_as_of_pk" PRIMARY KEY("academy_id","player_id","evidence_rev","half_life_days","as_of")
);
--> statement-breakpoint
CREATE TABLE "shot" (
	"academy_id" text NOT NULL,
	"shot_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"phase" integer NOT NULL,
	"station_key" text NOT NULL,
	"ball_no" integer NOT NULL,
	"turn_no" integer NOT NULL,
	"shot_type" text NOT NULL,
	"surface" text NOT NULL,
	"sit" text NOT NULL,
	"stance" text NOT NULL,
	"trajectory" text,
	"shape" text,
	"swing_width" text,
	"swing_mark" text,
	"club_id" uuid,
	"target" text NOT NULL,
	"distance_m" double precision NOT NULL,
	"holed" boolean NOT NULL,
	"left_m" double precision,
	"left_min_m" double precision,
	"left_max_m" double precision,
	"bearing_deg" double precision,
	"measured" text NOT NULL,
	"strokes" integer,
	"penalty" integer NOT NULL,
	"finish" text,
	"landed" boolean,
	"carry_m" double precision,
	"landing_error_m" double precision,
	"intended_m" double precision,
	"mishit" text,
	"n_balls" integer NOT NULL,
	"sum_left_m" double precision,
	"counts" text NOT NULL,
	"wind" text,
	"stimp_ft" double precision,
	"firmness" text,
	"note" text,
	"played_at" timestamp with time zone NOT NULL,
	"server_seq" bigint NOT NULL,
	CONSTRAINT "shot_academy_id_shot_id_pk" PRIMARY KEY("academy_id","shot_id")
);
--> statement-breakpoint
CREATE TABLE "shot_event" (
	"academy_id" text NOT NULL,
	"event_id" uuid NOT NULL,
	"shot_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"payload" jsonb NOT NULL,
	"actor" text NOT NULL,
	"device_id" uuid NOT NULL,
	"device_seq" integer NOT NULL,
	"device_at" timestamp with time zone NOT NULL,
	"server_seq" bigint GENERATED ALWAYS AS IDENTITY (sequence name "shot_event_server_seq_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "shot_event_academy_id_event_id_pk" PRIMARY KEY("academy_id","event_id")
);
--> statement-breakpoint
ALTER TABLE "auth_account" ADD CONSTRAINT "auth_account_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_invitation" ADD CONSTRAINT "auth_invitation_organization_id_auth_organization_id_fk" FOREIGN KEY ("organization_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_invitation" ADD CONSTRAINT "auth_invitation_inviter_id_auth_user_id_fk" FOREIGN KEY ("inviter_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_member" ADD CONSTRAINT "auth_member_organization_id_auth_organization_id_fk" FOREIGN KEY ("organization_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_member" ADD CONSTRAINT "auth_member_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "auth_session" ADD CONSTRAINT "auth_session_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "academy" ADD CONSTRAINT "academy_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "club" ADD CONSTRAINT "club_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "club" ADD CONSTRAINT "club_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "player" ADD CONSTRAINT "player_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "player_link" ADD CONSTRAINT "player_link_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "player_link" ADD CONSTRAINT "player_link_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "squad" ADD CONSTRAINT "squad_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "squad_member" ADD CONSTRAINT "squad_member_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "squad_member" ADD CONSTRAINT "squad_member_academy_id_squad_id_squad_academy_id_squad_id_fk" FOREIGN KEY ("academy_id","squad_id") REFERENCES "public"."squad"("academy_id","squad_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "squad_member" ADD CONSTRAINT "squad_member_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "game" ADD CONSTRAINT "game_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "game_version" ADD CONSTRAINT "game_version_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "game_version" ADD CONSTRAINT "game_version_academy_id_game_id_game_academy_id_game_id_fk" FOREIGN KEY ("academy_id","game_id") REFERENCES "public"."game"("academy_id","game_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "green" ADD CONSTRAINT "green_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "green_version" ADD CONSTRAINT "green_version_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "green_version" ADD CONSTRAINT "green_version_academy_id_green_id_green_academy_id_green_id_fk" FOREIGN KEY ("academy_id","green_id") REFERENCES "public"."green"("academy_id","green_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_academy_id_game_id_game_version_game_version_academy_id_game_id_version_fk" FOREIGN KEY ("academy_id","game_id","game_version") REFERENCES "public"."game_version"("academy_id","game_id","version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_academy_id_green_id_green_version_green_version_academy_id_green_id_version_fk" FOREIGN KEY ("academy_id","green_id","green_version") REFERENCES "public"."green_version"("academy_id","green_id","version") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_player" ADD CONSTRAINT "session_player_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_player" ADD CONSTRAINT "session_player_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_player" ADD CONSTRAINT "session_player_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_station" ADD CONSTRAINT "session_station_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_station" ADD CONSTRAINT "session_station_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posterior" ADD CONSTRAINT "posterior_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posterior" ADD CONSTRAINT "posterior_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shot" ADD CONSTRAINT "shot_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shot" ADD CONSTRAINT "shot_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shot" ADD CONSTRAINT "shot_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shot_event" ADD CONSTRAINT "shot_event_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shot_event" ADD CONSTRAINT "shot_event_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "player_link_token" ON "player_link" USING btree ("academy_id","token_hash");--> statement-breakpoint
CREATE INDEX "session_by_game" ON "session" USING btree ("academy_id","game_id","game_version");--> statement-breakpoint
CREATE INDEX "session_by_start" ON "session" USING btree ("academy_id","started_at");--> statement-breakpoint
CREATE INDEX "session_player_by_player" ON "session_player" USING btree ("academy_id","player_id");--> statement-breakpoint
CREATE INDEX "shot_by_session" ON "shot" USING btree ("academy_id","session_id","turn_no","server_seq");--> statement-breakpoint
CREATE INDEX "shot_by_player" ON "shot" USING btree ("academy_id","player_id","shot_type","surface");--> statement-breakpoint
CREATE INDEX "shot_event_by_shot" ON "shot_event" USING btree ("academy_id","shot_id","server_seq");--> statement-breakpoint
CREATE INDEX "shot_event_by_session" ON "shot_event" USING btree ("academy_id","session_id","server_seq");--> statement-breakpoint
CREATE UNIQUE INDEX "shot_event_order" ON "shot_event" USING btree ("academy_id","server_seq");