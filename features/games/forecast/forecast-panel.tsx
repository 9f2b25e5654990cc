'use client';

import { useId, useMemo, useState, type ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import type { SuggestedSize } from '@/core/forecast/sizes';
import { entrantOfLevel } from '@/core/forecast/levels';
import { playedAs } from '@/core/forecast/spots';
import { enter } from '@/core/game/entrant';
import { sayScore, sayUnit } from '@/core/game/say-score';
import { schemeOf } from '@/core/game/scoring';
import { sayRadius, type OwnLengths } from '@/core/game/sizes';
import type { GameSpec } from '@/core/game/spec';
import { counted, listed } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import type { Asked } from '@/workers/messages';
import styles from './forecast.module.scss';
import { axisOf, bareFigure } from './score-axis';
import { ScoreTape } from './score-tape';
import { useBeliefs, type Candidate } from './use-beliefs';
import { useForecast, type Answer } from './use-forecast';

/** Levels that every game is forecast for: those of the reference. */
const LEVELS = [0, 5, 10, 18, 28];
const levelKey = (level: number) => `level-${level}`;
const FIRST_TARGET = levelKey(10);
const MOST_PLAYERS = 6;

type Props = {
  slug: string;
  /** The game as it is now; null while it is none, with what is missing. */
  game: GameSpec | null;
  problem: string | null;
  units: UnitSystem;
  candidates: readonly Candidate[];
  coach: OwnLengths;
  /** Sets a field of the game, by its path. */
  onSet: (path: string, value: number) => void;
  /** The field of the goal. */
  goalField: ReactNode;
};

/** What a good score is, by level and for chosen players, and what follows from it: a goal, zones, pars, head starts, what it tells. */
export function ForecastPanel({ slug, game, problem, units, candidates, coach, onSet, goalField }: Props) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [target, setTarget] = useState(FIRST_TARGET);
  const [wantedChance, setWantedChance] = useState(0.4);
  const [wantedRate, setWantedRate] = useState<number | null>(null);
  const [wantedPar, setWantedPar] = useState(0.5);
  const players = useMemo(() => chosen.flatMap((id) => candidates.find(({ playerId }) => playerId === id) ?? []), [chosen, candidates]);
  const { known, failed } = useBeliefs(slug, players);
  const rate = wantedRate ?? (game?.scoring.scheme === 'ring_points' ? 0.75 : 0.5);
  const playable = game !== null && game.stations.length > 0;
  const question = playable
    ? JSON.stringify(askedOf(game, { players, target, wantedChance, wantedRate: rate, wantedPar, coach, units }))
    : null;
  const subject = game ? `${game.scoring.scheme} ${game.stations.length}` : '';
  const answer = useForecast(question, subject, known);

  if (!playable)
    return (
      <>
        <h2 className="mb-1">What a good score is</h2>
        <p className="small-print">
          {game
            ? 'Forecast once a station is there: stations that are called while you play can’t be foreseen.'
            : `Forecast once nothing is missing: ${problem}`}
        </p>
        <div className="mb-3">{goalField}</div>
      </>
    );
  const rows = [
    ...LEVELS.map((level) => ({ key: levelKey(level), name: `Level ${level}`, player: null })),
    ...players.map((player) => ({ key: player.playerId, name: player.name, player })),
  ];
  const targetName = rows.find(({ key }) => key === target)?.name.replace(/^Level/, 'level') ?? 'level 10';
  const shared = { game, units, answer, targetName };
  return (
    <>
      <h2 className="mb-1">What a good score is</h2>
      <Rows {...shared} rows={rows} target={target} onTarget={setTarget} failed={failed} known={known.map(({ key }) => key)}>
        {(player) => (
          <button
            type="button"
            className={styles.drop}
            onClick={() => {
              setChosen((now) => now.filter((id) => id !== player.playerId));
              if (target === player.playerId) setTarget(FIRST_TARGET);
            }}
          >
            ×<span className="visually-hidden"> Leave out {player.name}</span>
          </button>
        )}
      </Rows>
      {candidates.length > chosen.length && chosen.length < MOST_PLAYERS && (
        <Form.Select
          size="sm"
          aria-label="Forecast it for a player"
          className="mt-1"
          value=""
          onChange={(event) => setChosen((now) => [...now, event.target.value])}
        >
          <option value="">for a player…</option>
          {candidates
            .filter(({ playerId }) => !chosen.includes(playerId))
            .map(({ playerId, name }) => (
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
      <Notes game={game} />
      <div className={styles.goal}>
        {goalField}
        <GoalSuggestion {...shared} wanted={wantedChance} onWanted={setWantedChance} onSet={onSet} />
      </div>
      <Zones {...shared} wanted={rate} onWanted={setWantedRate} onSet={onSet} />
      <Pars {...shared} wanted={wantedPar} onWanted={setWantedPar} onSet={onSet} />
      <Together {...shared} names={players.map(({ name }) => name)} />
      <HowMuchItTells {...shared} />
    </>
  );
}

type ForWhom = { players: readonly Candidate[]; target: string; wantedChance: number; wantedRate: number; wantedPar: number };

function askedOf(game: GameSpec, { players, coach, units, ...wanted }: ForWhom & { coach: OwnLengths; units: UnitSystem }): Asked {
  return {
    game,
    ...wanted,
    rows: [
      ...LEVELS.map((level) => ({ key: levelKey(level), entrant: entrantOfLevel(game, level) })),
      ...players.map((player) => ({ key: player.playerId, entrant: enter(player, game.sizes, coach, 0) })),
    ],
    goalStepM: units === 'metric' ? 0.5 : METRES_PER.ft,
    together: players.map(({ playerId }) => playerId),
  };
}

const percent = (share: number) => `${Math.round(100 * share)}%`;

type Shared = { game: GameSpec; units: UnitSystem; answer: Answer; targetName: string };
type RowOf = { key: string; name: string; player: Candidate | null };

function Rows({
  game,
  units,
  answer,
  rows,
  target,
  onTarget,
  known,
  failed,
  children,
}: Shared & {
  rows: readonly RowOf[];
  target: string;
  onTarget: (key: string) => void;
  known: readonly string[];
  failed: readonly string[];
  children: (player: Candidate) => ReactNode;
}) {
  const group = useId();
  const scheme = schemeOf(game.scoring);
  const unit = scheme.unit(game.scoring);
  const axis = axisOf(
    rows.flatMap(({ key }) => answer.rows[key]?.outlook ?? []),
    game.goal,
  );
  const games = Math.min(...rows.map(({ key }) => answer.rows[key]?.outlook.games ?? 0));
  const say = (score: number) => bareFigure(score, game, units);
  return (
    <>
      <p className="small-print mb-1" aria-live="polite">
        <b>{sayUnit(unit, units)}</b>
        {scheme.better(game.scoring) === 'lower' && ', fewer is better'} · bar: 8 of 10 games · mark: the middle one ·{' '}
        {games > 0 ? `${games.toLocaleString('en')} games a row` : 'playing it through'}
      </p>
      <div className={styles.rows} role="radiogroup" aria-label="For whom goals and sizes are suggested">
        <div className={styles.head} aria-hidden="true">
          <span />
          <span />
          <span>middle</span>
          <span>{game.goal === null ? '' : `goal ${say(game.goal)}`}</span>
        </div>
        {rows.map(({ key, name, player }) => {
          const row = answer.rows[key];
          const old = row && row.ask !== answer.ask;
          return (
            <div
              key={key}
              className={key === target ? `${styles.row} ${styles.target}` : styles.row}
              data-row={key}
              data-rough={row?.rough ?? true}
              data-old={old ?? true}
            >
              <label className={styles.who}>
                <input type="radio" name={group} checked={key === target} onChange={() => onTarget(key)} />
                <span title={name}>{name}</span>
              </label>
              <div style={old ? { opacity: 0.55 } : undefined}>
                {row && <ScoreTape outlook={row.outlook} axis={axis} goal={game.goal} say={say} own={player !== null} />}
              </div>
              <b className="fig">{row ? say(row.outlook.p50) : '…'}</b>
              <b className="fig">{row?.outlook.goalChance == null ? '' : percent(row.outlook.goalChance)}</b>
              {row && (
                <span className="visually-hidden">
                  {`${name}: ${sayScore(row.outlook.p10, unit, units)} in the lowest tenth, ${sayScore(row.outlook.p50, unit, units)} in the middle, ${sayScore(row.outlook.p90, unit, units)} in the highest tenth`}
                </span>
              )}
              {player && (
                <p className={styles.of}>
                  {ofWhom(player, known.includes(key), failed.includes(key))}
                  {children(player)}
                </p>
              )}
            </div>
          );
        })}
      </div>
    </>
  );
}

/** On what a player's row stands. */
function ofWhom({ level, balls }: Candidate, known: boolean, failed: boolean): string {
  if (balls === 0) return `no ball yet: as any player of level ${level}`;
  if (failed) return `the records can’t be fetched now: as any player of level ${level}`;
  return known ? `by ${counted(balls, 'ball')}` : 'reading the records …';
}

/** What the forecast takes for granted in this game. */
function Notes({ game }: { game: GameSpec }) {
  const { rules, scoring, stations } = game;
  const scheme = schemeOf(scoring);
  const standIns = [
    ...new Set(stations.filter((one) => playedAs(one) !== one.shotType).map((one) => `${say(one.shotType)}s as ${say(playedAs(one))}s`)),
  ];
  const notes = [
    ...(scheme.players > 1 || scheme.race(scoring) ? ['each plays against somebody of the same level'] : []),
    ...(scheme.sees(scoring).includes('executed')
      ? ['how often a shot comes off as asked, by level: 70% at level 0 and a point less each level, a judgement and no measurement']
      : []),
    ...(standIns.length > 0 ? [`${listed(standIns)}, which the reference does not know`] : []),
    ...(rules.timeLimitS !== null ? ['as if time were enough for all balls'] : []),
    ...(game.order === 'choice' ? ['stations in the order of the list'] : []),
    ...(rules.goodSide !== null && stations.some(({ shotType }) => shotType !== 'putt')
      ? ['44 of 100 balls from off the green stop past the hole, and half on either side']
      : []),
  ];
  if (notes.length === 0) return null;
  return <p className="small-print mt-1 mb-0">Taken for granted: {notes.join('; ')}.</p>;
}
const say = (word: string) => word.replaceAll('_', ' ');

const CHANCES = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8];
/** A chance farther than that from the one that was asked for is said to be the nearest there is. */
const CLOSE = 0.03;
const sayChance = (chance: number, wanted: number) => `${percent(chance)}${Math.abs(chance - wanted) > CLOSE ? ', the nearest' : ''}`;

function ChanceSelect({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
  return (
    <Form.Select
      size="sm"
      aria-label={label}
      className={styles.chance}
      value={String(value)}
      onChange={(event) => onChange(Number(event.target.value))}
    >
      {[...new Set([...CHANCES, value])].sort().map((chance) => (
        <option key={chance} value={chance}>
          {percent(chance)}
        </option>
      ))}
    </Form.Select>
  );
}

type Setter = { wanted: number; onWanted: (value: number) => void; onSet: (path: string, value: number) => void };

function GoalSuggestion({ game, units, answer, targetName, wanted, onWanted, onSet }: Shared & Setter) {
  const { goal: piece } = answer;
  const current = piece && piece.ask === answer.ask;
  const found = piece?.goal ?? null;
  return (
    <div className={styles.suggest}>
      <span className={styles.ask}>
        <ChanceSelect label="Chance of meeting the suggested goal" value={wanted} onChange={onWanted} />
        <span>for {targetName}</span>
      </span>
      <Button size="sm" variant="outline-dark" disabled={!current || !found} onClick={() => onSet('goal', found!.goal)}>
        {!piece ? '…' : !found ? 'no goal fits' : `Set ${bareFigure(found.goal, game, units)}: ${sayChance(found.chance, wanted)}`}
      </Button>
    </div>
  );
}

/** Where a radius of the suggestion stands in the game. */
const zonePath = ({ path }: SuggestedSize) => `scoring.${path}`;

function Zones({ game, units, answer, targetName, wanted, onWanted, onSet }: Shared & Setter) {
  const { zones } = answer;
  if (!zones || zones.suggested.length === 0) return null;
  const current = zones.ask === answer.ask;
  const rates = zones.now.map(({ rate }) => percent(rate));
  const landing = game.scoring.scheme === 'landing_zone';
  return (
    <>
      <h3 className={styles.title}>Size of the {zones.now.length > 1 ? 'zones' : 'zone'}</h3>
      <p className="small-print mb-1">
        {landing ? 'Now it catches' : `Inside now, of ${targetName}’s balls:`} <b className="fig">{rates.join(' · ')}</b>
        {landing && ` of ${targetName}’s balls${rates.length > 1 ? ': landing, and finishing' : ''}`}
      </p>
      <div className={styles.suggest}>
        <span className={styles.ask}>
          <ChanceSelect label="Share of the balls that the widest zone should catch" value={wanted} onChange={onWanted} />
          <span>{zones.now.length > 1 && !landing ? 'inside the widest' : 'inside'}</span>
        </span>
        <Button
          size="sm"
          variant="outline-dark"
          disabled={!current}
          onClick={() => zones.suggested.forEach((zone) => onSet(zonePath(zone), zone.radiusM))}
        >
          Set {zones.suggested.map(({ radiusM }) => sayRadius(radiusM, game.sizes, units)).join(', ')}:{' '}
          {sayChance(zones.suggested.at(-1)!.rate, wanted)}
        </Button>
      </div>
    </>
  );
}

function Pars({ game, answer, targetName, wanted, onWanted, onSet }: Shared & Setter) {
  const { pars } = answer;
  if (!pars || game.scoring.scheme !== 'hole_out') return null;
  const current = pars.ask === answer.ask && pars.pars.length === game.stations.length;
  return (
    <>
      <h3 className={styles.title}>Par for {targetName}</h3>
      <p className="small-print mb-1">
        By station: <b className="fig">{pars.pars.map(({ par }) => par).join(' · ')}</b>, met or beaten by{' '}
        {pars.pars.map(({ chance }) => percent(chance)).join(', ')}
      </p>
      <div className={styles.suggest}>
        <span className={styles.ask}>
          <ChanceSelect label="Chance of par or better at a station" value={wanted} onChange={onWanted} />
          <span>nearest at each</span>
        </span>
        <Button
          size="sm"
          variant="outline-dark"
          disabled={!current}
          onClick={() => pars.pars.forEach(({ par }, i) => onSet(`stations.${i}.par`, par))}
        >
          Set these: par {pars.pars.reduce((sum, { par }, i) => sum + par * (game.stations[i]?.balls ?? 1), 0)} in all
        </Button>
      </div>
    </>
  );
}

/** Players against each other: head starts that make it even. */
function Together({ game, units, answer, names }: Shared & { names: readonly string[] }) {
  const { together } = answer;
  if (names.length < 2 || !together || together.allowances.players.length !== names.length) return null;
  const { players, scratch, worstPair } = together.allowances;
  const unit = schemeOf(game.scoring).unit(game.scoring);
  const inWhat = unit === 'length' ? (units === 'metric' ? 'm' : 'ft') : sayUnit(unit, units);
  return (
    <>
      <h3 className={styles.title}>Evenly against each other</h3>
      <ul className={styles.starts}>
        {players.map(({ allowance, chance }, i) => (
          <li key={i}>
            <span>{names[i]}</span>
            <b className="fig">{i === scratch ? 'from scratch' : `${sayHalves(allowance)} ${inWhat}`}</b>
            <span className="small-print">{i === scratch ? '' : `beats ${names[scratch]} ${percent(chance)}`}</span>
          </li>
        ))}
      </ul>
      <p className="small-print mb-0">
        Head starts; being level counts half. {players.length > 2 && `Of all pairs the least even is ${percent(worstPair)}. `}
        {together.games.toLocaleString('en')} games.
      </p>
    </>
  );
}

/** "3", "3½", "½". */
const sayHalves = (value: number) => `${value >= 1 || value === 0 ? Math.floor(value) : ''}${value % 1 === 0 ? '' : '½'}`;

function HowMuchItTells({ game, units, answer, targetName }: Shared) {
  const { tells: piece } = answer;
  if (!piece) return null;
  const { game: own, circle, strokes } = piece.tells;
  const lines = [
    { name: 'this game', share: own },
    { name: `one circle of ${sayRadius(circle.radiusM, game.sizes, units)}`, share: circle.tells },
    { name: 'strokes to hole out', share: strokes },
  ];
  return (
    <>
      <h3 className={styles.title}>How much it tells</h3>
      <p className="small-print mb-1">about the skill of {targetName}, a ball, against a taped one</p>
      <ul className={styles.tells}>
        {lines.map(({ name, share }, i) => (
          <li key={name}>
            <span>{name}</span>
            <span className={styles.meter} aria-hidden="true">
              <span style={{ width: `${100 * share}%`, background: i === 0 ? 'var(--ink)' : 'var(--line-2)' }} />
            </span>
            <b className="fig">{percent(share)}</b>
          </li>
        ))}
      </ul>
      {own < 0.35 && <p className="small-print mb-0">{adviceFor(game)}</p>}
    </>
  );
}

function adviceFor({ scoring }: GameSpec): string {
  if (schemeOf(scoring).sees(scoring).includes('executed')) return 'What comes off as asked says nothing of the distance left.';
  if (scoring.scheme === 'hole_out') return 'Ringing or taping the first ball too would tell far more.';
  return 'A zone that nearly all or hardly any balls reach tells little: size it to the player.';
}
