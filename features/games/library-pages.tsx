import Link from 'next/link';
import type { LibraryGame } from '@/core/game/library';
import type { UnitSystem } from '@/core/units/length';
import { HowItIsPlayed, StationLines } from './game-sheet';
import { sayGame } from './game-meta';
import { SIDE } from './side';
import type { OwnLengths } from '@/core/game/sizes';
import { GoodScore } from '../forecast/good-score';
import type { Candidate } from '../forecast/use-beliefs';
import { StartPlay } from './start-play';

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
