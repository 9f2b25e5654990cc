import Link from 'next/link';
import { budgetOf } from '@/core/game/budget';
import type { Audience, LibraryGame } from '@/core/game/library';
import type { UnitSystem } from '@/core/units/length';
import { HowItIsPlayed, StationLines } from './game-sheet';
import { sayGame } from './game-meta';
import { SIDE } from './side';
import type { OwnLengths } from '@/core/game/sizes';
import { GoodScore } from '../forecast/good-score';
import type { Candidate } from '../forecast/use-beliefs';
import { StartPlay } from './start-play';

const AUDIENCES: readonly Audience[] = ['first-timers', 'improvers', 'strong players', 'everybody'];
const HEADINGS: Readonly<Record<Audience, string>> = {
  'first-timers': 'For first-timers',
  improvers: 'For improvers',
  'strong players': 'For strong players',
  everybody: 'For everybody',
};

/** Ready games, by whom they are for, the shortest first. */
export function LibraryPage({ slug, games, units }: { slug: string; games: readonly LibraryGame[]; units: UnitSystem }) {
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '64rem' }}>
      <h1>Library</h1>
      <p className="small-print mb-3">
        {games.length} ready games. Playing one puts it into your games; times are estimates for one player.
      </p>
      {AUDIENCES.map((audience) => (
        <section key={audience} className="mb-4">
          <h2 className="mb-1">{HEADINGS[audience]}</h2>
          <ul className="rows">
            {games
              .filter((game) => game.audience === audience)
              .toSorted((a, b) => budgetOf(a.spec).totalS - budgetOf(b.spec).totalS)
              .map(({ key, spec }) => (
                <li key={key}>
                  <Link href={`/a/${slug}/games/library/${key}`} className="row-link">
                    <b>{spec.title}</b>
                    <span>{spec.about}</span>
                    <span className="small-print">{sayGame(spec, units)}</span>
                  </Link>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

type Props = { slug: string; game: LibraryGame; units: UnitSystem; players: Candidate[]; coach: OwnLengths; gameId: string };

/** A ready game: play it at once, or change a copy of it. */
export function LibraryGamePage({ slug, game: { key, spec }, units, players, coach, gameId }: Props) {
  return (
    <div className="desk" style={SIDE}>
      <section>
        <div className="d-flex justify-content-between align-items-start gap-3">
          <h1>{spec.title}</h1>
          <Link href={`/a/${slug}/games/new?library=${key}`} className="btn btn-outline-dark flex-shrink-0 no-print">
            Change a copy
          </Link>
        </div>
        <p className="small-print mb-2">library · {sayGame(spec, units)}</p>
        <p className="mb-3">{spec.about}</p>
        <StartPlay slug={slug} source={{ library: key, gameId }} spec={spec} players={players} coach={coach} />
        <h2 className="mt-4 mb-1">Stations</h2>
        <StationLines spec={spec} units={units} />
      </section>
      <section>
        <HowItIsPlayed spec={spec} units={units} />
        {spec.stations.length > 0 && <GoodScore game={spec} desk={{ slug, units, candidates: players, coach }} />}
      </section>
    </div>
  );
}
