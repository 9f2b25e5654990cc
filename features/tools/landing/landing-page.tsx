'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Point } from '@/core/geometry/point';
import type { GreenPlan } from '@/core/green/plan';
import { usualPlace, type LandingPlace } from '@/core/tools/landing-place';
import type { UnitSystem } from '@/core/units/length';
import { GreenChoice } from '../../form/green-choice';
import { PlayerChoice } from '../player-choice';
import { ToolHead } from '../tool-head';
import { asLandingQuery, type LandingQuery } from './asked';
import styles from './landing.module.scss';
import { LandingTool, type LandingPlayer, type LandingStation } from './landing-tool';

export type LandingProps = {
  slug: string;
  asked: LandingQuery;
  /** The place where the address says none: a plan's. */
  usual: LandingPlace;
  players: readonly { id: string; name: string }[];
  player: LandingPlayer;
  greens: readonly { id: string; name: string }[];
  green: { greenId: string; plan: GreenPlan; stations: readonly { key: string; name: string; ball: Point; hole: Point }[] } | null;
  units: UnitSystem;
};

/** The landing spot at the desk: whose, where, and a game made of it; all of that stands in the address. */
export function LandingPage({ slug, asked, usual, players, player, greens, green, units }: LandingProps) {
  const router = useRouter();
  const [place, setPlace] = useState(asked.place);
  const [seen, setSeen] = useState(asked.place);
  // Another station, chosen in the address, is another place; what was typed here is in the address already.
  if (seen !== asked.place) {
    setSeen(asked.place);
    if (JSON.stringify(place) !== JSON.stringify(asked.place)) setPlace(asked.place);
  }
  const on = useMemo((): LandingStation | null => {
    const station = green?.stations.find(({ key }) => key === asked.station);
    return green && station ? { greenId: green.greenId, plan: green.plan, ...station } : null;
  }, [green, asked.station]);
  const change = (next: LandingPlace) => {
    setPlace(next);
    window.history.replaceState(null, '', window.location.pathname + asLandingQuery({ ...asked, place: next }, usual));
  };
  const go = (who: Partial<LandingQuery>) =>
    router.replace(`/a/${slug}/tools/landing${asLandingQuery({ ...asked, place, ...who }, usual)}`, { scroll: false });
  /** Another station has a place of its own. */
  const stand = (who: Partial<LandingQuery>) =>
    router.replace(`/a/${slug}/tools/landing${asLandingQuery({ ...asked, ...who, place: usualPlace(units) }, usualPlace(units))}`, {
      scroll: false,
    });
  return (
    <div className="p-3 p-md-4">
      <ToolHead title="Landing spot">
        <div className={`${styles.who} no-print`} role="group" aria-label="Who and where">
          <PlayerChoice
            players={players}
            chosen={asked.for}
            nobody={`level ${player.strays.level}, usual bag`}
            onChoose={(playerId) => go({ for: playerId })}
          />
          <GreenChoice
            label="Green"
            greens={greens}
            greenId={green?.greenId}
            onChange={(greenId) => stand({ green: greenId ?? undefined, station: undefined })}
          />
          {green && green.stations.length > 0 && (
            <Form.Select
              aria-label="Station"
              value={on?.key ?? ''}
              onChange={({ target }) => stand({ station: target.value || undefined })}
            >
              <option value="">no station</option>
              {green.stations.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </Form.Select>
          )}
        </div>
      </ToolHead>
      <LandingTool
        // Another green is another ground.
        key={`${on?.greenId}|${on?.key}`}
        player={player}
        on={on}
        place={place}
        onPlace={change}
        units={units}
        makeGame={(start) => (
          <Link href={`/a/${slug}/games/new?landing=${encodeURIComponent(JSON.stringify(start))}`} className="btn btn-primary">
            Make a game: land it there
          </Link>
        )}
      />
    </div>
  );
}
