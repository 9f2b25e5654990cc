'use client';

import { capital } from '@/core/units/format';
import { Button, Form } from 'react-bootstrap';
import type { SuggestedSize } from '@/core/forecast/sizes';
import { sayScore, sayUnit } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import { sayRadius } from '@/core/game/sizes';
import styles from './forecast.module.scss';
import { bareFigure } from './score-axis';
import { percent, type Shared } from './shared';
import type { Candidate } from './use-beliefs';

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

/** A field of the game, by its path, and what it is set to. */
export type Change = { path: string; value: number };
type Setter = { wanted: number; onWanted: (value: number) => void; onSet: (changes: readonly Change[]) => void };

export function GoalSuggestion({ game, units, answer, targetName, wanted, onWanted, onSet }: Shared & Setter) {
  const { goal: piece } = answer;
  const current = piece && piece.ask === answer.ask;
  const found = piece?.goal ?? null;
  return (
    <div className={styles.suggest}>
      <span className={styles.ask}>
        <ChanceSelect label="Chance of meeting the suggested goal" value={wanted} onChange={onWanted} />
        <span>for {targetName}</span>
      </span>
      <Button size="sm" variant="outline-dark" disabled={!current || !found} onClick={() => onSet([{ path: 'goal', value: found!.goal }])}>
        {!piece ? '…' : !found ? 'no goal fits' : `Set ${bareFigure(found.goal, game, units)}: ${sayChance(found.chance, wanted)}`}
      </Button>
    </div>
  );
}

/** Where a radius of the suggestion stands in the game. */
const zonePath = ({ path }: SuggestedSize) => `scoring.${path}`;

export function Zones({ game, units, answer, targetName, wanted, onWanted, onSet }: Shared & Setter) {
  const { zones } = answer;
  if (!zones || zones.suggested.length === 0) return null;
  const current = zones.ask === answer.ask;
  const rates = zones.now.map(({ rate }) => percent(rate));
  const landing = schemeOf(game.scoring).stationSays.includes('carryM');
  return (
    <>
      <h3 className={styles.title}>Size of the {zones.now.length > 1 ? 'zones' : 'zone'}</h3>
      <p className="small-print mb-1">
        {landing ? 'Inside the zone now' : `${capital(targetName)} finishes inside:`} <b className="fig">{rates.join(' · ')}</b>
        {landing && ` of ${targetName}’s balls${rates.length > 1 ? ': landing, and finishing' : ''}`}
      </p>
      <div className={styles.suggest}>
        <span className={styles.ask}>
          <ChanceSelect label="Share of balls to finish inside the widest zone" value={wanted} onChange={onWanted} />
          <span>{zones.now.length > 1 && !landing ? 'inside the widest' : 'inside'}</span>
        </span>
        <Button
          size="sm"
          variant="outline-dark"
          disabled={!current}
          onClick={() => onSet(zones.suggested.map((zone) => ({ path: zonePath(zone), value: zone.radiusM })))}
        >
          Set {zones.suggested.map(({ radiusM }) => sayRadius(radiusM, game.sizes, units)).join(', ')}:{' '}
          {sayChance(zones.suggested.at(-1)!.rate, wanted)}
        </Button>
      </div>
    </>
  );
}

export function Pars({ game, answer, targetName, wanted, onWanted, onSet }: Shared & Setter) {
  const { pars } = answer;
  if (!pars || !schemeOf(game.scoring).stationSays.includes('par')) return null;
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
          onClick={() => onSet(pars.pars.map(({ par }, i) => ({ path: `stations.${i}.par`, value: par })))}
        >
          Set these: par {pars.pars.reduce((sum, { par }, i) => sum + par * (game.stations[i]?.balls ?? 1), 0)} in all
        </Button>
      </div>
    </>
  );
}

/** Players against each other: head starts that make it even. */
export function Together({ game, units, answer, players: chosen }: Shared & { players: readonly Candidate[] }) {
  const { together } = answer;
  const names = together?.keys.map((key) => chosen.find(({ playerId }) => playerId === key)?.name);
  if (!together || !names || chosen.length !== names.length || names.includes(undefined)) return null;
  const { players, scratch, worstPair } = together.allowances;
  const unit = schemeOf(game.scoring).unit(game.scoring);
  const sayStart = (start: number) => {
    const inWhat =
      unit === 'length' ? (units === 'metric' ? 'm' : 'ft') : start > 1 ? sayUnit(unit, units) : sayScore(1, unit, units).slice(2);
    return `${sayHalves(start)} ${inWhat}`;
  };
  return (
    <>
      <h3 className={styles.title}>Head starts for an even game</h3>
      <ul className={styles.starts}>
        {players.map(({ allowance, chance }, i) => (
          <li key={i}>
            <span>{names[i]}</span>
            <b className="fig">{i === scratch ? 'from scratch' : sayStart(allowance)}</b>
            <span className="small-print">{i === scratch ? '' : `beats ${names[scratch]} ${percent(chance)}`}</span>
          </li>
        ))}
      </ul>
      <p className="small-print mb-0">
        {game.rules.allowances ? 'Head starts' : 'Head starts, once the rules allow them'}; being level counts half.{' '}
        {players.length > 2 && `Of all pairs the least even is ${percent(worstPair)}. `}
        {together.games.toLocaleString('en')} games.
      </p>
    </>
  );
}

/** "3", "3½", "½". */
const sayHalves = (value: number) => `${value >= 1 || value === 0 ? Math.floor(value) : ''}${value % 1 === 0 ? '' : '½'}`;
