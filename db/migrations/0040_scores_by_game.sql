ALTER TABLE "session_player" ADD COLUMN "game_id" uuid;--> statement-breakpoint
ALTER TABLE "session_player" ADD COLUMN "game_version" integer;--> statement-breakpoint
CREATE INDEX "session_tagged" ON "session" USING btree ("academy_id") WHERE tags <> '{}';--> statement-breakpoint
CREATE INDEX "session_player_by_score" ON "session_player" USING btree ("academy_id","game_id","game_version","score") WHERE score is not null;--> statement-breakpoint
CREATE FUNCTION "session_player_game"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	SELECT s.game_id, s.game_version INTO NEW.game_id, NEW.game_version FROM public.session s WHERE s.academy_id = NEW.academy_id AND s.session_id = NEW.session_id;
	RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER "session_player_game" BEFORE INSERT ON "session_player" FOR EACH ROW EXECUTE FUNCTION "session_player_game"();
--> statement-breakpoint
UPDATE "session_player" p SET "game_id" = s."game_id", "game_version" = s."game_version" FROM "session" s
	WHERE s."academy_id" = p."academy_id" AND s."session_id" = p."session_id";
