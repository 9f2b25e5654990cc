CREATE TABLE "day_conditions" (
	"academy_id" text NOT NULL,
	"day" date NOT NULL,
	"conditions" jsonb NOT NULL,
	CONSTRAINT "day_conditions_academy_id_day_pk" PRIMARY KEY("academy_id","day")
);
--> statement-breakpoint
CREATE TABLE "reader_key" (
	"academy_id" text NOT NULL,
	"key_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"token_hash" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "reader_key_academy_id_key_id_pk" PRIMARY KEY("academy_id","key_id")
);
--> statement-breakpoint
CREATE TABLE "reading" (
	"academy_id" text NOT NULL,
	"reading_id" uuid NOT NULL,
	"key_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"seq" integer NOT NULL,
	"distance_m" double precision NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "reading_academy_id_reading_id_pk" PRIMARY KEY("academy_id","reading_id")
);
--> statement-breakpoint
ALTER TABLE "player_link" ADD COLUMN "last_used_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "own_note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "coach_note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "day_conditions" ADD CONSTRAINT "day_conditions_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reader_key" ADD CONSTRAINT "reader_key_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reader_key" ADD CONSTRAINT "reader_key_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_academy_id_key_id_reader_key_academy_id_key_id_fk" FOREIGN KEY ("academy_id","key_id") REFERENCES "public"."reader_key"("academy_id","key_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reader_key_token" ON "reader_key" USING btree ("academy_id","token_hash");--> statement-breakpoint
CREATE INDEX "reading_by_session" ON "reading" USING btree ("academy_id","session_id","received_at");