'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { greensHit } from '@/core/golf/approach';
import { sayLevel } from '@/core/golf/level';
import { FAMILIES, type Family } from '@/core/golf/shot-types';
import { HOLES, roundScore, takes, threePutts, upAndDown, withUpAndDown, type Round } from '@/core/tools/round-score';
import type { ShortGames } from '@/core/tools/short-game';
import type { Strays } from '@/core/tools/strays';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { UsualPanel } from './usual-panel';
import { percent, PLAIN, within } from '../fields';
import { PlayerChoice } from '../player-choice';
import { ToolHead } from '../tool-head';
import styles from './outlook.module.scss';

export type OutlookProps = {
  players: readonly { id: string; name: string }[];
  player: { id: string; name: string; balls: number } | null;
  games: ShortGames;
  /** Strokes beyond the short game on a hole whose green is missed, as is usual at the level. */
  extra: number;
  strays: Strays;
  units: UnitSystem;
};

const sayOver = (over: number) => (Math.abs(over) < 0.05 ? 'level par' : `${over > 0 ? '+' : '−'}${Math.abs(over).toFixed(1)}`);
const FIVE = 0.05;
const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  putting: 'Putting',
  chipping: 'Chipping',
  pitching: 'Pitching',
  bunker: 'Bunker shots',
};

/** What the short game is worth in a round, and what a wanted score takes. */
export function OutlookPage({ players, player, games, extra, strays, units }: OutlookProps) {
  const router = useRouter();
  const path = usePathname();
  const { level } = games;
  const [greens, setGreens] = useState<number | null>(Math.round(greensHit(level) * 10) / 10);
  const [holes, setHoles] = useState<9 | 18>(18);
  const [par, setPar] = useState<number | null>(72);
  const [wanted, setWanted] = useState<number | null | undefined>(undefined);
  const faults = {
    greens: within(greens, 0, HOLES) ? undefined : 'From 0 to 18.',
    par: within(par, 27, 80) ? undefined : 'From 27 to 80.',
  };
  const good = !faults.greens && !faults.par;
  const who = player?.name ?? `Level ${sayLevel(level)}`;
  const round: Round = { greens: greens ?? 0, extra, game: games.own };
  const now = roundScore(round, holes);
  // What is not known of the player is in it as well: the same round as each draw.
  const drawn = games.draws.map((game) => roundScore({ ...round, game }, holes).over).toSorted((a, b) => a - b);
  const sure = drawn.length > 4 ? ([drawn[Math.floor(drawn.length * 0.1)]!, drawn[Math.ceil(drawn.length * 0.9) - 1]!] as const) : null;
  const rate = upAndDown(games.own);
  const worth = [
    {
      what: `Up and down ${percent(Math.min(1, rate + FIVE))} instead of ${percent(rate)}`,
      over: roundScore({ ...round, game: withUpAndDown(games.own, Math.min(1, rate + FIVE)) }, holes).over,
    },
    { what: 'One more green hit', over: roundScore({ ...round, greens: Math.min(HOLES, round.greens + HOLES / holes) }, holes).over },
    ...(player
      ? FAMILIES.map((family) => ({
          what: `${FAMILY_WORDS[family]} at level ${sayLevel(level)}`,
          over: roundScore({ ...round, game: games.atLevel[family] }, holes).over,
        }))
      : []),
  ].map((entry) => ({ ...entry, gain: now.over - entry.over }));
  const most = Math.max(0.1, ...worth.map(({ gain }) => Math.abs(gain)));
  const target = wanted === undefined ? Math.round((par ?? 72) + now.over - 3) : wanted;
  const targetFault = within(target, 20, 200) ? undefined : 'Enter a score.';
  return (
    <div className="p-3 p-md-4">
      <ToolHead title="What it is worth">
        <PlayerChoice
          players={players}
          chosen={player?.id}
          nobody={`level ${sayLevel(level)}`}
          onChoose={(playerId) => router.replace(playerId ? `${path}?for=${playerId}` : path, { scroll: false })}
        />
      </ToolHead>
      <div className={styles.layout}>
        <section aria-label="A round">
          <div className={styles.asked}>
            <Form.Group controlId="outlook-holes">
              <Form.Label>Holes</Form.Label>
              <Form.Select
                value={holes}
                onChange={({ target: { value } }) => {
                  const next = value === '9' ? 9 : 18;
                  setHoles(next);
                  setPar((par ?? 72) + (next === holes ? 0 : next === 9 ? -Math.round((par ?? 72) / 2) : (par ?? 36)));
                  setWanted(undefined);
                }}
              >
                <option value={18}>18</option>
                <option value={9}>9</option>
              </Form.Select>
            </Form.Group>
            <LengthInput id="outlook-par" label="Par" unit={PLAIN} value={par} error={faults.par} onChange={setPar} />
            <LengthInput
              id="outlook-greens"
              label="Greens hit"
              unit={{ word: 'in 18', metres: 1 }}
              value={greens}
              error={faults.greens}
              onChange={setGreens}
            />
          </div>
          {good && (
            <>
              <p className={styles.big} role="status">
                <b className="fig">{((par ?? 0) + now.over).toFixed(1)}</b>
                <span>
                  {who}, on average: {sayOver(now.over)}
                  <br />8 rounds in 10 from {par! + now.p10} to {par! + now.p90}
                </span>
              </p>
              <Holes pars={now.pars} bogeys={now.bogeys} worse={now.worse} holes={holes} />
              <dl className={styles.facts}>
                <div>
                  <dt>Up and down</dt>
                  <dd className="fig">{percent(rate)}</dd>
                </div>
                <div>
                  <dt>Three-putts on greens hit</dt>
                  <dd className="fig">{percent(threePutts(games.own))}</dd>
                </div>
              </dl>
              <p className="small-print">
                {player
                  ? `From ${counted(player.balls, 'ball')}${sure ? `; the average itself lies from ${sayOver(sure[0])} to ${sayOver(sure[1])}, 8 times in 10` : ''}. `
                  : ''}
                Everything before the short game is taken as usual at level {sayLevel(level)}. A good or a bad day adds to that.
              </p>
            </>
          )}
        </section>
        <section aria-label="Worth a round">
          <h2>Worth in a round of {holes}</h2>
          {good && (
            <ul className={styles.worth}>
              {worth.map(({ what, gain }) => (
                <li key={what}>
                  <span>{what}</span>
                  <span className={styles.bar}>
                    <i style={{ width: `${(100 * Math.abs(gain)) / most}%` }} className={gain < 0 ? styles.costs : undefined} />
                  </span>
                  <b className="fig">
                    {Math.abs(gain) < 0.05 ? 'no change' : `${Math.abs(gain).toFixed(1)} ${gain < 0 ? 'more' : 'fewer'}`}
                  </b>
                </li>
              ))}
            </ul>
          )}
          <h2 className="mt-4">What a score takes</h2>
          <div className={styles.wanted}>
            <LengthInput id="outlook-wanted" label="Wanted score" unit={PLAIN} value={target} error={targetFault} onChange={setWanted} />
            {good && !targetFault && <p className="mb-0">{sayTakes(round, target! - par!, holes, rate)}</p>}
          </div>
          <UsualPanel strays={strays} who={who} units={units} />
        </section>
      </div>
    </div>
  );
}

/** Holes at par or better, one over, and worse, as one bar. */
function Holes({ pars, bogeys, worse, holes }: { pars: number; bogeys: number; worse: number; holes: number }) {
  const parts = [
    ['par or better', pars, styles.par],
    ['bogeys', bogeys, styles.bogey],
    ['worse', worse, styles.double],
  ] as const;
  return (
    <ul className={styles.holes} aria-label={`Of ${holes} holes`}>
      {parts.map(([name, value, look]) => (
        <li key={name} style={{ flexGrow: Math.max(value, 0.6) }} className={look}>
          <b className="fig">{value.toFixed(1)}</b> {name}
        </li>
      ))}
    </ul>
  );
}

function sayTakes(round: Round, over: number, holes: number, rate: number): string {
  if (roundScore(round, holes).over <= over) return 'This player already averages that.';
  const { upAndDown: needed, greens } = takes(round, over, holes);
  const ways = [
    needed !== null && `up and down ${percent(needed)} of the time instead of ${percent(rate)}`,
    greens !== null && `${greens.toFixed(1)} greens in 18 instead of ${round.greens.toFixed(1)}`,
  ].filter((way) => typeof way === 'string');
  if (ways.length === 0) return 'Neither the short game nor greens alone can do that: it takes both, or a better long game.';
  return `On average it takes ${ways.join(', or ')}.${needed === null ? ' The short game alone can’t do it.' : ''}`;
}
