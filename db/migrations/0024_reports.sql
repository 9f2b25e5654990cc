CREATE TABLE "report" (
	"academy_id" text NOT NULL,
	"report_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"report" jsonb NOT NULL,
	"token_hash" "bytea" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "report_academy_id_report_id_pk" PRIMARY KEY("academy_id","report_id")
);
--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "report_words" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "report" ADD CONSTRAINT "report_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "report" ADD CONSTRAINT "report_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "report_token" ON "report" USING btree ("academy_id","token_hash");--> statement-breakpoint
CREATE INDEX "report_by_player" ON "report" USING btree ("academy_id","player_id");