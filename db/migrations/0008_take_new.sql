-- What has to be known of a session to take balls in, for a transaction that takes the session: without the moment, and always in one order, so
-- that it can be compared with what was known before.
CREATE OR REPLACE FUNCTION "hold_session"("of_academy" text, "of_session" uuid, "of_balls" uuid[], "of_events" uuid[]) RETURNS jsonb LANGUAGE plpgsql AS $$
DECLARE held jsonb;
BEGIN
  SELECT jsonb_build_object('sessionId', s.session_id, 'startedAt', s.started_at, 'conditions', s.conditions, 'balls', s.balls,
      'overFrom', s.over_from, 'places', CASE WHEN (s.spec ->> 'open')::boolean THEN NULL ELSE
      (SELECT jsonb_agg(one ->> 'key') FROM jsonb_array_elements(s.spec -> 'stations') AS one) END)
    INTO held FROM session s WHERE s.academy_id = of_academy AND s.session_id = of_session FOR NO KEY UPDATE;
  IF held IS NULL THEN RETURN NULL; END IF;
  -- What follows sees what was committed while the session was waited for: each statement here looks anew.
  RETURN held || jsonb_build_object(
    -- Nothing is taken in of a player who was erased.
    'players', (SELECT coalesce(jsonb_agg(p.player_id ORDER BY p.position), '[]') FROM session_player p JOIN player o USING (academy_id, player_id)
      WHERE p.academy_id = of_academy AND p.session_id = of_session AND o.erased_at IS NULL),
    'stations', (SELECT coalesce(jsonb_agg(jsonb_build_object('key', t.station_key, 'distanceM', t.distance_m, 'source', t.source)
        ORDER BY t.station_key), '[]')
      FROM session_station t WHERE t.academy_id = of_academy AND t.session_id = of_session),
    'before', (SELECT coalesce(jsonb_agg(jsonb_build_object('shotId', e.shot_id, 'sessionId', e.session_id,
        'playerId', CASE WHEN e.kind = 'record' THEN e.payload ->> 'playerId' END)), '[]')
      FROM shot_event e WHERE e.academy_id = of_academy AND e.shot_id = ANY (of_balls)),
    'known', (SELECT coalesce(jsonb_agg(e.event_id), '[]') FROM shot_event e WHERE e.academy_id = of_academy AND e.event_id = ANY (of_events)));
END
$$;
--> statement-breakpoint
-- Stores events about balls of which nothing was said before, the balls that they amount to, and what is counted of them. Whoever holds the
-- session already says no facts. Whoever does not says the facts with which the balls were worked out: nothing is stored, and the answer is
-- null, where these are others now, where something was said of these balls, or where the session may be over with them. Else the answer is how
-- many balls the session has now.
CREATE FUNCTION "take_new"("of_academy" text, "of_session" uuid, "events" jsonb, "balls" jsonb, "facts" jsonb) RETURNS integer LANGUAGE plpgsql AS $$
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
  UPDATE player p SET evidence_rev = p.evidence_rev + 1 WHERE p.academy_id = of_academy AND p.player_id IN (
    SELECT o.player_id FROM player o WHERE o.academy_id = of_academy
      AND o.player_id IN (SELECT (b ->> 'player_id')::uuid FROM jsonb_array_elements(balls) AS b)
    ORDER BY o.player_id FOR NO KEY UPDATE);
  UPDATE session s SET balls = s.balls + added WHERE s.academy_id = of_academy AND s.session_id = of_session RETURNING s.balls INTO added;
  RETURN added;
END
$$;
