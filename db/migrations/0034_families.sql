CREATE TABLE "consent" (
	"academy_id" text NOT NULL,
	"consent_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"given_by" text NOT NULL,
	"given_on" date NOT NULL,
	"actor" text NOT NULL,
	"way" text NOT NULL,
	"withdrawn_at" timestamp with time zone,
	CONSTRAINT "consent_academy_id_consent_id_pk" PRIMARY KEY("academy_id","consent_id")
);
--> statement-breakpoint
CREATE TABLE "erasure_request" (
	"academy_id" text NOT NULL,
	"player_id" uuid NOT NULL,
	"actor" text NOT NULL,
	"words" text DEFAULT '' NOT NULL,
	"asked_at" timestamp with time zone DEFAULT now() NOT NULL,
	"declined_at" timestamp with time zone,
	"why" text DEFAULT '' NOT NULL,
	CONSTRAINT "erasure_request_academy_id_player_id_pk" PRIMARY KEY("academy_id","player_id")
);
--> statement-breakpoint
CREATE TABLE "guardian" (
	"academy_id" text NOT NULL,
	"guardian_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"name" text NOT NULL,
	"email" text DEFAULT '' NOT NULL,
	"phone" text DEFAULT '' NOT NULL,
	"user_id" text,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "guardian_academy_id_guardian_id_pk" PRIMARY KEY("academy_id","guardian_id")
);
--> statement-breakpoint
ALTER TABLE "invitation" ADD COLUMN "guardian_id" uuid;--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "born_year" integer;--> statement-breakpoint
ALTER TABLE "consent" ADD CONSTRAINT "consent_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "consent" ADD CONSTRAINT "consent_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "erasure_request" ADD CONSTRAINT "erasure_request_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "erasure_request" ADD CONSTRAINT "erasure_request_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "guardian" ADD CONSTRAINT "guardian_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "guardian" ADD CONSTRAINT "guardian_user_id_auth_user_id_fk" FOREIGN KEY ("user_id") REFERENCES "public"."auth_user"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "guardian" ADD CONSTRAINT "guardian_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "consent_holds" ON "consent" USING btree ("academy_id","player_id") WHERE withdrawn_at is null;--> statement-breakpoint
CREATE INDEX "guardian_of_player" ON "guardian" USING btree ("academy_id","player_id");--> statement-breakpoint
CREATE INDEX "guardian_account" ON "guardian" USING btree ("user_id") WHERE user_id is not null;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_academy_id_guardian_id_guardian_academy_id_guardian_id_fk" FOREIGN KEY ("academy_id","guardian_id") REFERENCES "public"."guardian"("academy_id","guardian_id") ON DELETE cascade ON UPDATE no action;