import { ALL } from '@/ui/first-of';
import { randomUUID } from 'node:crypto';
import { notFound } from 'next/navigation';
import { Suspense } from 'react';
import { METRES_PER } from '@/core/units/length';
import { longestM } from '@/core/golf/bands';
import { requireCoach, requireDesk } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { sayDay } from '@/core/units/say-moment';
import { measuresOf } from '@/core/game/sizes';
import { candidatesOf } from '../forecast/candidates';
import { FirstLook } from '../games/first-look';
import { boardAsked, filterOf, isFiltered, readAsked } from './asked';
import { SkillBoard } from './board';
import { CellPanel } from './cell-panel';
import { CellTrend } from './cell-trend';
import { ChooseGame } from '../form/choose-game';
import { dayIn, startOfDayIn } from '@/core/units/day';
import { IntoView } from './into-view';
import { boardOf } from '@/server/known/board';
import { squadBoardOf } from '@/server/known/squad';
import { PuttingPage } from './putting-page';
import { RoundMixForm } from './round-mix-form';
import { SquadPage } from './squad-page';
import type { PlayerRow } from '@/server/data';
import type { KnownAt } from '@/server/known/known';
import { familiesOverTime, gamesOverTime, type Span } from '../../server/known/over-time';
import { FamiliesComing, FamiliesGrid, TimePage } from './time-page';

type Of = { slug: string; playerId: string; params: Record<string, unknown> };

async function playerAt({ slug, playerId }: Pick<Of, 'slug' | 'playerId'>) {
  const desk = await requireDesk(slug);
  const found = await desk.data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  return { ...desk, player: found.player, mayChange: desk.coach !== null };
}

/** Where one player's strokes go. */
export async function BoardRoom({ slug, playerId, params }: Of) {
  const { player, mayChange, ...desk } = await playerAt({ slug, playerId });
  const { data, academy, model } = desk;
  const asked = readAsked(params);
  const now = new Date();
  const [board, narrowings] = await Promise.all([
    boardOf(desk, player, boardAsked(asked, academy.timeZone, now)),
    data.narrowings(player.playerId),
  ]);
  const finding = board.diagnosis.findings.find(({ key }) => key === asked.cell);
  const shots = finding
    ? await data.shotsOfCell(player.playerId, filterOf(asked, academy.timeZone, now), {
        shotType: finding.shotType,
        surface: finding.surface,
        fromM: finding.band.min * METRES_PER[finding.band.unit],
        toM: finding.band.max === null ? longestM('putt') + 1 : finding.band.max * METRES_PER[finding.band.unit],
      })
    : [];
  return (
    <SkillBoard
      slug={slug}
      mayChange={mayChange}
      levels={model.reference.levels}
      player={player}
      board={board}
      asked={asked}
      halfLifeDays={academy.halfLifeDays}
      strokes={academy.strokesAs}
      narrowings={narrowings}
      timeZone={academy.timeZone}
      now={now}
      first={
        board.known.evidence.balls > 0 || isFiltered(asked) ? null : mayChange ? (
          <FirstLook slug={slug} gameId={randomUUID()} players={candidatesOf([{ player, balls: 0 }])} coach={measuresOf(academy)} />
        ) : (
          <p className="empty">
            No ball yet. <ChooseGame slug={slug} mayChange={mayChange} /> and play it with {player.name}.
          </p>
        )
      }
      panel={
        finding && (
          <IntoView of={finding.key}>
            <CellPanel
              model={model}
              finding={finding}
              shots={shots}
              belief={board.known.belief}
              level={board.level}
              per={asked.per}
              strokes={academy.strokesAs}
              system={player.units}
              asked={asked}
              timeZone={academy.timeZone}
              now={now}
            />
            {finding.balls > 0 && (
              <Suspense key={finding.key}>
                <CellTrend desk={desk} player={player} cell={finding.key} timeZone={academy.timeZone} now={now} />
              </Suspense>
            )}
          </IntoView>
        )
      }
    />
  );
}

/** Putting: how often putts drop, and line against pace. */
export async function PuttingRoom({ slug, playerId, params }: Of) {
  const { player, mayChange, ...desk } = await playerAt({ slug, playerId });
  const { data, academy, model } = desk;
  const asked = readAsked(params);
  const now = new Date();
  const { filter } = boardAsked(asked, academy.timeZone, now);
  const against = typeof asked.against === 'string' ? undefined : asked.against;
  const [board, narrowings, runs, putts] = await Promise.all([
    boardOf(desk, player, { filter, against }),
    data.narrowings(player.playerId),
    data.puttRuns(player.playerId),
    data.shotsOfCell(player.playerId, filterOf(asked, academy.timeZone, now), {
      shotType: 'putt',
      surface: 'green',
      fromM: 0,
      toM: longestM('putt') + 1,
    }),
  ]);
  return (
    <PuttingPage
      slug={slug}
      mayChange={mayChange}
      model={model}
      player={player}
      board={board}
      putts={putts}
      runs={runs}
      asked={asked}
      narrowings={narrowings}
      strokes={academy.strokesAs}
    />
  );
}

const DAY_MS = 86_400_000;

/** How it went, and whether a change is one: since a day, by itself since the middle of what is on record. */
export async function TimeRoom({ slug, playerId, params }: Of) {
  const { player, mayChange, ...desk } = await playerAt({ slug, playerId });
  const { data, academy } = desk;
  const asked = readAsked(params);
  const span = await data.spanOfEvidence(player.playerId);
  const middle = span ? new Date((span.first.getTime() + span.last.getTime()) / 2) : new Date();
  const day = asked.since ?? dayIn(middle, academy.timeZone);
  const since = startOfDayIn(day, academy.timeZone);
  const scores = await data.scoresOf(player.playerId);
  const said = {
    since: { day, words: sayDay(since, academy.timeZone, new Date(since.getTime() + 20 * DAY_MS)) },
    timeZone: academy.timeZone,
  };
  return (
    <TimePage
      slug={slug}
      mayChange={mayChange}
      player={player}
      families={
        span && (
          // They take a fit for each stretch of time: the rest of the page does not wait for them.
          <Suspense key={day} fallback={<FamiliesComing />}>
            <Families desk={desk} player={player} span={{ ...span, since }} said={said} />
          </Suspense>
        )
      }
      games={gamesOverTime(scores, since)}
      {...said}
    />
  );
}

type FamiliesProps = {
  desk: KnownAt;
  player: PlayerRow;
  span: Span;
  said: { since: { day: string; words: string }; timeZone: string };
};

async function Families({ desk, player, span, said }: FamiliesProps) {
  return <FamiliesGrid families={await familiesOverTime(desk, player, span)} strokes={desk.academy.strokesAs} {...said} />;
}

/** Players by skills. */
export async function SquadRoom({ slug, params }: { slug: string; params: Record<string, unknown> }) {
  const desk = await requireDesk(slug);
  const asked = readAsked(params);
  const board = await squadBoardOf(desk, asked.per);
  return (
    <SquadPage
      slug={slug}
      mayChange={desk.coach !== null}
      board={board}
      all={params[ALL] !== undefined}
      asked={{ per: asked.per }}
      strokes={desk.academy.strokesAs}
    />
  );
}

/** How often each kind of shot comes up in a player's rounds. */
export async function RoundMixRoom({ slug, playerId }: Pick<Of, 'slug' | 'playerId'>) {
  const { data, model } = await requireCoach(slug);
  const found = await data.getPlayer(uuidOr404(playerId));
  if (!found) notFound();
  const { player } = found;
  const levels = [...new Set([...model.reference.levels, player.level])].sort((a, b) => a - b);
  const mixAt = (level: number) => Object.fromEntries(model.mix(level));
  return (
    <div className="p-3 p-md-4">
      <h1>
        {player.name} <span className="beside">the round mix</span>
      </h1>
      <p style={{ maxWidth: '46rem' }}>
        How often each shot comes up in 18 holes decides what a weakness costs in a round. It depends on the course: firm and bare, or soft
        and thick.
      </p>
      <RoundMixForm
        slug={slug}
        playerId={player.playerId}
        level={player.level}
        cells={model.cells.filter(({ key, inRound }) => inRound || (player.roundMix?.[key] ?? 0) > 0)}
        usual={mixAt(player.level)}
        levels={levels.map((level) => ({ level, mix: mixAt(level) }))}
        own={player.roundMix}
      />
    </div>
  );
}
