CREATE TABLE "import_file" (
	"academy_id" text NOT NULL,
	"import_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"file_name" text NOT NULL,
	"columns" text[] NOT NULL,
	"mapping" jsonb NOT NULL,
	"state" text DEFAULT 'coming' NOT NULL,
	"rows" integer DEFAULT 0 NOT NULL,
	"last_line" integer DEFAULT 0 NOT NULL,
	"kept" integer DEFAULT 0 NOT NULL,
	"known" integer DEFAULT 0 NOT NULL,
	"refused" integer DEFAULT 0 NOT NULL,
	"players" uuid[] DEFAULT '{}' NOT NULL,
	"actor" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "import_file_academy_id_import_id_pk" PRIMARY KEY("academy_id","import_id")
);
--> statement-breakpoint
CREATE UNLOGGED TABLE "import_row" (
	"academy_id" text NOT NULL,
	"import_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"line" integer NOT NULL,
	"player_id" uuid NOT NULL,
	"says" jsonb NOT NULL,
	CONSTRAINT "import_row_academy_id_import_id_session_id_line_pk" PRIMARY KEY("academy_id","import_id","session_id","line")
);
--> statement-breakpoint
CREATE TABLE "import_session" (
	"academy_id" text NOT NULL,
	"import_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	CONSTRAINT "import_session_academy_id_import_id_session_id_pk" PRIMARY KEY("academy_id","import_id","session_id")
);
--> statement-breakpoint
ALTER TABLE "shot" DROP CONSTRAINT "shot_academy_id_auth_organization_id_fk";
--> statement-breakpoint
ALTER TABLE "shot_event" DROP CONSTRAINT "shot_event_academy_id_auth_organization_id_fk";
--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "import_id" uuid;--> statement-breakpoint
ALTER TABLE "session" ADD COLUMN "given" text;--> statement-breakpoint
ALTER TABLE "import_file" ADD CONSTRAINT "import_file_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import_row" ADD CONSTRAINT "import_row_academy_id_import_id_import_file_academy_id_import_id_fk" FOREIGN KEY ("academy_id","import_id") REFERENCES "public"."import_file"("academy_id","import_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import_session" ADD CONSTRAINT "import_session_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import_session" ADD CONSTRAINT "import_session_academy_id_import_id_import_file_academy_id_import_id_fk" FOREIGN KEY ("academy_id","import_id") REFERENCES "public"."import_file"("academy_id","import_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "import_session" ADD CONSTRAINT "import_session_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;