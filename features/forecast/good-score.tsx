'use client';

import { Form } from 'react-bootstrap';
import type { GameSpec } from '@/core/game/spec';
import { ScoreRows } from './score-rows';
import { TakenForGranted } from './taken-for-granted';
import { useGoodScore, type ForecastSetting } from './use-good-score';

const WISHES = { chance: 0.4, rate: 0.5, par: 0.5 };

/** What a good score is in a game as it stands, by level and for whom one chooses. */
export function GoodScore({ game, desk }: { game: GameSpec; desk: ForecastSetting }) {
  const score = useGoodScore(game, desk, WISHES);
  return (
    <section className="no-print mt-4" style={{ maxWidth: '24rem' }}>
      <h2 className="mb-1">What a good score is</h2>
      <ScoreTable game={game} desk={desk} score={score} suggests={false} />
    </section>
  );
}

/** The rows, a choice of players to add, and what is taken for granted. */
export function ScoreTable({
  game,
  desk: { units },
  score: { rows, beliefs, answer, target, others, choose, leaveOut },
  suggests,
}: {
  game: GameSpec;
  desk: ForecastSetting;
  score: ReturnType<typeof useGoodScore>;
  /** Whether something is suggested for one of the rows. */
  suggests: boolean;
}) {
  return (
    <>
      <ScoreRows
        game={game}
        units={units}
        answer={answer}
        rows={rows}
        beliefs={beliefs}
        target={suggests ? target : null}
        onLeaveOut={leaveOut}
      />
      {others.length > 0 && (
        <Form.Select
          size="sm"
          aria-label="Forecast it for a player"
          className="mt-1"
          value=""
          onChange={(event) => choose(event.target.value)}
        >
          <option value="">for a player…</option>
          {others.map(({ playerId, name }) => (
            <option key={playerId} value={playerId}>
              {name}
            </option>
          ))}
        </Form.Select>
      )}
      {answer.failed && (
        <p role="alert" className="text-danger fw-semibold mt-2 mb-0">
          {answer.failed}
        </p>
      )}
      <TakenForGranted game={game} />
    </>
  );
}
