'use client';

import { sayLevel } from '@/core/golf/level';
import { useMemo, useState } from 'react';
import { entrantOfLevel } from '@/core/forecast/levels';
import { enter } from '@/core/game/enter';
import type { OwnLengths } from '@/core/game/sizes';
import type { GameSpec } from '@/core/game/spec';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import type { AskedForecast } from '@/workers/messages';
import type { RowOf } from './score-rows';
import { useBeliefs, type Candidate } from './use-beliefs';
import { useForecast } from './use-forecast';

/** Levels that every game is forecast for: those of the reference. */
const LEVELS = [0, 5, 10, 18, 28];
const levelKey = (level: number) => `level-${level}`;
const FIRST_TARGET = levelKey(10);
const MOST_PLAYERS = 6;

/** Where it is asked from: whose academy, who could be asked about, and in which units. */
export type ForecastSetting = { slug: string; units: UnitSystem; candidates: readonly Candidate[]; coach: OwnLengths };

/** What is wished of suggestions, as shares. */
export type Wishes = { chance: number; rate: number; par: number };

/** A game's forecast for the levels and for players that are chosen; null for a game that has none. */
export function useGoodScore(game: GameSpec | null, { slug, units, candidates, coach }: ForecastSetting, wishes: Wishes) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [asked, setTarget] = useState(FIRST_TARGET);
  const players = useMemo(() => chosen.flatMap((id) => candidates.find(({ playerId }) => playerId === id) ?? []), [chosen, candidates]);
  const beliefs = useBeliefs(slug, players);
  const rows: RowOf[] = [
    ...LEVELS.map((level) => ({ key: levelKey(level), name: `Level ${sayLevel(level)}`, player: null })),
    ...players.map((player) => ({ key: player.playerId, name: player.name, player })),
  ];
  const target = rows.some(({ key }) => key === asked) ? asked : FIRST_TARGET;
  const question: AskedForecast | null = game && {
    game,
    rows: [
      ...LEVELS.map((level) => ({ key: levelKey(level), entrant: entrantOfLevel(game, level) })),
      ...players.map((player) => ({ key: player.playerId, entrant: enter(player, game.sizes, coach, 0) })),
    ],
    target,
    wantedChance: wishes.chance,
    wantedRate: wishes.rate,
    wantedPar: wishes.par,
    goalStepM: units === 'metric' ? 0.5 : METRES_PER.ft,
    together: players.map(({ playerId }) => playerId),
  };
  // Another way of scoring or another number of stations is another subject: nothing answered before is shown with it.
  const subject = game ? `${game.scoring.scheme} ${game.stations.length}` : '';
  const answer = useForecast(question && JSON.stringify(question), subject, beliefs.known);
  return {
    rows,
    players,
    beliefs,
    answer,
    target: { key: target, onChange: setTarget },
    targetName: rows.find(({ key }) => key === target)!.name.replace(/^Level/, 'level'),
    /** Who could still be asked about. */
    others: chosen.length < MOST_PLAYERS ? candidates.filter(({ playerId }) => !chosen.includes(playerId)) : [],
    choose: (playerId: string) => setChosen((now) => [...now, playerId]),
    leaveOut: ({ playerId }: Candidate) => setChosen((now) => now.filter((id) => id !== playerId)),
  };
}
