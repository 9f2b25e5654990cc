CREATE TABLE "note" (
	"academy_id" text NOT NULL,
	"note_id" uuid NOT NULL,
	"player_id" uuid NOT NULL,
	"session_id" uuid,
	"author" text NOT NULL,
	"author_name" text DEFAULT '' NOT NULL,
	"text" text NOT NULL,
	"written_at" timestamp with time zone DEFAULT now() NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "note_academy_id_note_id_pk" PRIMARY KEY("academy_id","note_id"),
	CONSTRAINT "note_of_session" UNIQUE("academy_id","session_id","player_id","author")
);
--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_academy_id_auth_organization_id_fk" FOREIGN KEY ("academy_id") REFERENCES "public"."auth_organization"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_academy_id_player_id_player_academy_id_player_id_fk" FOREIGN KEY ("academy_id","player_id") REFERENCES "public"."player"("academy_id","player_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_academy_id_session_id_session_academy_id_session_id_fk" FOREIGN KEY ("academy_id","session_id") REFERENCES "public"."session"("academy_id","session_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "note_by_player" ON "note" USING btree ("academy_id","player_id","written_at");--> statement-breakpoint
INSERT INTO "note" ("academy_id", "note_id", "player_id", "session_id", "author", "text", "written_at", "changed_at")
	SELECT p."academy_id", gen_random_uuid(), p."player_id", p."session_id", 'player', p."own_note", s."started_at", s."started_at"
	FROM "session_player" p JOIN "session" s USING ("academy_id", "session_id") WHERE p."own_note" <> '';--> statement-breakpoint
INSERT INTO "note" ("academy_id", "note_id", "player_id", "session_id", "author", "author_name", "text", "written_at", "changed_at")
	SELECT p."academy_id", gen_random_uuid(), p."player_id", p."session_id", coalesce('user:' || m."user_id", ''), coalesce(m."name", ''),
		p."coach_note", s."started_at", s."started_at"
	FROM "session_player" p JOIN "session" s USING ("academy_id", "session_id")
	LEFT JOIN (
		SELECT "organization_id", min(u."id") AS "user_id", min(u."name") AS "name"
		FROM "auth_member" JOIN "auth_user" u ON u."id" = "auth_member"."user_id" GROUP BY "organization_id" HAVING count(*) = 1
	) m ON m."organization_id" = p."academy_id" WHERE p."coach_note" <> '';--> statement-breakpoint
ALTER TABLE "session_player" DROP COLUMN "own_note";--> statement-breakpoint
ALTER TABLE "session_player" DROP COLUMN "coach_note";