'use client';

import { useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';
import { get } from 'react-hook-form';
import { WANTED_CHANCE } from '@/core/forecast/goal';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import styles from './forecast.module.scss';
import { ScoreTable } from './good-score';
import { GoalSuggestion, Pars, Together, Zones, type Change } from './suggestions';
import { InformationPanel } from './information';
import { useGoodScore, type ForecastSetting } from './use-good-score';

type Props = {
  /** The game as it is now; null while it is none, with what is missing. */
  game: GameSpec | null;
  problem: string | null;
  desk: ForecastSetting;
  /** Sets a field of the game, by its path; null leaves it empty. */
  onSet: (path: string, value: number | null) => void;
  /** The field of the goal. */
  goalField: ReactNode;
};

/** Of several rings the outermost catches this share of the balls, where nobody says otherwise; one zone catches half. */
const RINGS_CATCH = 0.75;

/** How many zones round the hole a game has. */
const finishZones = ({ scoring }: GameSpec) =>
  schemeOf(scoring)
    .zones(scoring)
    .filter(({ of }) => of === 'finish').length;

/** A good score while a game is designed, and what follows from it: a goal, zones, pars, head starts, what it tells. */
export function ForecastPanel({ game, problem, desk, onSet, goalField }: Props) {
  const [chance, setChance] = useState(WANTED_CHANCE);
  const [asked, setRate] = useState<number | null>(null);
  const [par, setPar] = useState(0.5);
  const [before, setBefore] = useState<readonly { path: string; value: number | null }[]>([]);
  const rate = asked ?? (game && finishZones(game) > 1 ? RINGS_CATCH : 0.5);
  const playable = game && game.stations.length > 0 ? game : null;
  const score = useGoodScore(playable, desk, { chance, rate, par });
  if (!playable)
    return (
      <>
        <h2 className="mb-1">What a good score is</h2>
        <p className="small-print">
          {game
            ? 'Add a station to see a forecast. Stations called during play can’t be forecast.'
            : `Forecast once this is complete: ${problem}`}
        </p>
        <div className="mb-3">{goalField}</div>
      </>
    );
  const set = (changes: readonly Change[]) => {
    setBefore(changes.map(({ path }) => ({ path, value: get(playable, path) as number | null })));
    for (const { path, value } of changes) onSet(path, value);
  };
  const shared = { game: playable, units: desk.units, answer: score.answer, targetName: score.targetName };
  return (
    <>
      <h2 className="mb-1">What a good score is</h2>
      <ScoreTable game={playable} desk={desk} score={score} suggests />
      <div className={styles.goal}>
        {goalField}
        <GoalSuggestion {...shared} wanted={chance} onWanted={setChance} onSet={set} />
      </div>
      {before.length > 0 && before.every(({ path }) => get(playable, path) !== undefined) && (
        <Button
          size="sm"
          variant="link"
          className="px-0"
          onClick={() => {
            for (const { path, value } of before) onSet(path, value);
            setBefore([]);
          }}
        >
          Put back {before.length === 1 ? 'what was' : 'what they were'} before
        </Button>
      )}
      <Zones {...shared} wanted={rate} onWanted={setRate} onSet={set} />
      <Pars {...shared} wanted={par} onWanted={setPar} onSet={set} />
      <Together {...shared} players={score.players} />
      <InformationPanel {...shared} />
    </>
  );
}
