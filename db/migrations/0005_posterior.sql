CREATE TABLE "posterior" (
	"academy_id" text NOT NULL,
	"player_id" uuid NOT NULL,
	"evidence_rev" integer NOT NULL,
	"level" double precision NOT NULL,
	"half_life_days" integer,
	"as_of" timestamp with time zone NOT NULL,
	"draws" "bytea" NOT NULL,
	CONSTRAINT "posterior_academy_id_player_id_pk" PRIMARY KEY("academy_id","player_id")
);
--> statement-breakpoint
CREATE TABLE "reference" (
	"academy_id" text NOT NULL,
	"name" text NOT NULL,
	"expected" jsonb NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "reference_academy_id_pk" PRIMARY KEY("academy_id")
);
--> statement-breakpoint
ALTER TABLE "posterior" ADD CONSTRAINT "posterior_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "posterior" ADD CONSTRAINT "posterior_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reference" ADD CONSTRAINT "reference_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;