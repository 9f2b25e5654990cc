CREATE TABLE "group_coach" (
	"academy_id" text NOT NULL,
	"group_id" uuid NOT NULL,
	"user_id" text NOT NULL,
	CONSTRAINT "group_coach_academy_id_group_id_user_id_pk" PRIMARY KEY("academy_id","group_id","user_id")
);
--> statement-breakpoint
CREATE TABLE "group_player" (
	"academy_id" text NOT NULL,
	"group_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	CONSTRAINT "group_player_academy_id_group_id_player_id_pk" PRIMARY KEY("academy_id","group_id","player_id")
);
--> statement-breakpoint
CREATE TABLE "invitation" (
	"academy_id" text NOT NULL,
	"invitation_id" uuid NOT NULL,
	"email" text NOT NULL,
	"role" text NOT NULL,
	"group_ids" uuid[] DEFAULT '{}' NOT NULL,
	"user_id" text NOT NULL,
	"token_hash" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	CONSTRAINT "invitation_academy_id_invitation_id_pk" PRIMARY KEY("academy_id","invitation_id")
);
--> statement-breakpoint
CREATE TABLE "player_group" (
	"academy_id" text NOT NULL,
	"group_id" uuid NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "player_group_academy_id_group_id_pk" PRIMARY KEY("academy_id","group_id")
);
--> statement-breakpoint
DROP TABLE "squad" CASCADE;--> statement-breakpoint
DROP TABLE "squad_member" CASCADE;--> statement-breakpoint
ALTER TABLE "group_coach" ADD CONSTRAINT "group_coach_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_coach" ADD CONSTRAINT "group_coach_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_coach" ADD CONSTRAINT "group_coach_academy_id_group_id_player_group_academy_id_group_id_fk" FOREIGN KEY ("academy_id","group_id") REFERENCES "public"."player_group"("academy_id","group_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_player" ADD CONSTRAINT "group_player_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_player" ADD CONSTRAINT "group_player_academy_id_group_id_player_group_academy_id_group_id_fk" FOREIGN KEY ("academy_id","group_id") REFERENCES "public"."player_group"("academy_id","group_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_player" ADD CONSTRAINT "group_player_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "player_group" ADD CONSTRAINT "player_group_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "invitation_token" ON "invitation" USING btree ("academy_id","token_hash");