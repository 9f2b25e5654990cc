-- As before, without the stations of the game: a game is a document, and is read by the program alone.
CREATE OR REPLACE FUNCTION "hold_session"("of_academy" text, "of_session" uuid, "of_balls" uuid[], "of_events" uuid[]) RETURNS jsonb LANGUAGE plpgsql AS $$
DECLARE held jsonb;
BEGIN
  SELECT jsonb_build_object('sessionId', s.session_id, 'startedAt', s.started_at, 'conditions', s.conditions, 'balls', s.balls,
      'overFrom', s.over_from)
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
