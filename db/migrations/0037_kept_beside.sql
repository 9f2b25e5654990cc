ALTER TABLE "player" ADD COLUMN "balls" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "player" ADD COLUMN "last_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "auth_account_user" ON "auth_account" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "auth_member_user" ON "auth_member" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "auth_member_organization" ON "auth_member" USING btree ("organization_id");--> statement-breakpoint
CREATE INDEX "auth_session_user" ON "auth_session" USING btree ("user_id");--> statement-breakpoint
CREATE INDEX "auth_verification_identifier" ON "auth_verification" USING btree ("identifier");--> statement-breakpoint
CREATE INDEX "session_going" ON "session" USING btree ("academy_id","started_at") WHERE completed_at is null and stopped_at is null;
--> statement-breakpoint
-- What lists of players show of their balls stands beside the player from now on.
UPDATE "player" p SET "balls" = c.balls, "last_at" = c.last_at
  FROM (SELECT academy_id, player_id, sum(n_balls)::integer AS balls, max(played_at) AS last_at FROM "shot" GROUP BY academy_id, player_id) c
  WHERE p.academy_id = c.academy_id AND p.player_id = c.player_id;
--> statement-breakpoint
-- Stores events about balls of which nothing was said before, the balls that they amount to, and what is counted of them. Whoever holds the
-- session already says no facts. Whoever does not says the facts with which the balls were worked out: nothing is stored, and the answer is
-- null, where these are others now, where something was said of these balls, or where the session may be over with them. Else the answer is how
-- many balls the session has now.
CREATE OR REPLACE FUNCTION "take_new"("of_academy" text, "of_session" uuid, "events" jsonb, "balls" jsonb, "facts" jsonb) RETURNS integer LANGUAGE plpgsql AS $$
DECLARE
  held jsonb;
  one jsonb;
  event shot_event%ROWTYPE;
  ball shot%ROWTYPE;
  added integer := (SELECT coalesce(sum((b ->> 'n_balls')::integer), 0) FROM jsonb_array_elements(balls) AS b);
BEGIN
  IF facts IS NOT NULL THEN
    held := hold_session(of_academy, of_session, ARRAY(SELECT (e ->> 'shot_id')::uuid FROM jsonb_array_elements(events) AS e),
      ARRAY(SELECT (e ->> 'event_id')::uuid FROM jsonb_array_elements(events) AS e));
    IF held IS NULL OR held -> 'before' <> '[]' OR held -> 'known' <> '[]' OR held - '{balls,overFrom,before,known}'::text[] <> facts
        OR (held ->> 'balls')::integer + added >= (held ->> 'overFrom')::integer THEN
      RETURN NULL;
    END IF;
  END IF;
  FOR one IN SELECT e FROM jsonb_array_elements(events) WITH ORDINALITY AS list(e, n) ORDER BY n LOOP
    event := jsonb_populate_record(NULL::shot_event, one);
    event.server_seq := nextval('shot_event_server_seq_seq');
    INSERT INTO shot_event OVERRIDING SYSTEM VALUE VALUES (event.*);
  END LOOP;
  FOR one IN SELECT b FROM jsonb_array_elements(balls) AS list(b) LOOP
    ball := jsonb_populate_record(NULL::shot, one);
    -- The number of a ball is that of the event that recorded it: the first of its records.
    SELECT min(e.server_seq) INTO ball.server_seq FROM shot_event e
      WHERE e.academy_id = of_academy AND e.shot_id = ball.shot_id AND e.kind = 'record';
    INSERT INTO shot VALUES (ball.*);
  END LOOP;
  -- Two sessions can share players: they are taken in one order, so that neither waits for the other.
  UPDATE player p SET evidence_rev = p.evidence_rev + 1, balls = p.balls + c.more, last_at = greatest(p.last_at, c.newest)
    FROM (SELECT (b ->> 'player_id')::uuid AS id, sum((b ->> 'n_balls')::integer) AS more, max((b ->> 'played_at')::timestamptz) AS newest
      FROM jsonb_array_elements(take_new.balls) AS b GROUP BY 1) c
    WHERE p.academy_id = of_academy AND p.player_id = c.id AND p.player_id IN (
      SELECT o.player_id FROM player o WHERE o.academy_id = of_academy
        AND o.player_id IN (SELECT (b ->> 'player_id')::uuid FROM jsonb_array_elements(take_new.balls) AS b)
      ORDER BY o.player_id FOR NO KEY UPDATE);
  UPDATE session s SET balls = s.balls + added WHERE s.academy_id = of_academy AND s.session_id = of_session RETURNING s.balls INTO added;
  RETURN added;
END
$$;
