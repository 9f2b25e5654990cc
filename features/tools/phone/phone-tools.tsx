import { useState } from 'react';
import type { Home } from '@/core/exchange/home';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import type { OwnMeasures } from '@/core/measures/read-length';
import { LEAST_LOFT } from '@/core/tools/landing-options';
import { usualPlace, type LandingPlace } from '@/core/tools/landing-place';
import type { UnitSystem } from '@/core/units/length';
import { runFactor } from '@/core/tools/run-factor';
import { asLevel } from '@/core/tools/strays';
import type { SwingChart } from '@/core/tools/swing-chart';
import { MeasuresContext } from '@/ui/length-input';
import { homesHere, readHome } from '../../play/device/store';
import { useStored } from '../../play/device/use-stored';
import { readLandingAsked } from '../landing/asked';
import { LandingTool, type LandingPlayer } from '../landing/landing-tool';
import { Converter } from '../measures/converter';
import { PlayerChoice } from '../player-choice';
import { LookUp } from '../swing/look-up';
import { SwingTable } from '../swing/swing-table';
import styles from './phone.module.scss';

type Player = NonNullable<Home['kit']>['players'][number];

const TOOLS = [
  ['landing', 'Landing spot'],
  ['swing', 'Swing lengths'],
  ['convert', 'Lengths'],
] as const;
/** Of whom a tool speaks where nobody is kept here. */
const USUAL_LEVEL = 10;

/** From a ball at play come its place, its player, and the session to go back to; else a usual place. */
function askedHere(units: UnitSystem) {
  return readLandingAsked(Object.fromEntries(new URLSearchParams(window.location.search)), usualPlace(units));
}

/** What this device keeps of players; the first academy or link that has any. */
async function homeHere(): Promise<Home | null> {
  for (const token of await homesHere()) {
    const home = await readHome(token);
    if (home?.kit) return home;
  }
  return null;
}

/** The tools that are needed at the green, with what the device keeps: no network, no server. */
export function PhoneTools() {
  const home = useStored(homeHere);
  const [tool, setTool] = useState<(typeof TOOLS)[number][0]>('landing');
  const [asked] = useState(() => ({ imperial: askedHere('imperial'), metric: askedHere('metric') }));
  const [chosen, setChosen] = useState(asked.metric.for);
  const [typed, setTyped] = useState<LandingPlace | null>(null);
  if (home === undefined) return null;
  const players = home?.kit?.players ?? [];
  const only = home?.player?.playerId;
  const player = players.find(({ playerId }) => playerId === (only ?? chosen)) ?? null;
  const coach = home?.kit?.coach;
  const own: OwnMeasures = {
    paceM: player?.paceM ?? coach?.paceM ?? null,
    clubM: player?.clubM ?? coach?.clubM ?? null,
    putterM: player?.putterM ?? coach?.putterM ?? null,
    flagstickM: coach?.flagstickM ?? null,
    shoeM: null,
  };
  const units = player?.units ?? home?.player?.units ?? 'imperial';
  return (
    <MeasuresContext value={own}>
      <div className={`${styles.page} dusk`}>
        <header>
          <a href={`/play${window.location.hash}`} aria-label="To play">
            ‹
          </a>
          <nav aria-label="Tools">
            {TOOLS.map(([key, name]) => (
              <button key={key} type="button" aria-pressed={key === tool} onClick={() => setTool(key)}>
                {name}
              </button>
            ))}
          </nav>
        </header>
        <main>
          {only === undefined && players.length > 0 && (
            <PlayerChoice
              players={players.map(({ playerId, name }) => ({ id: playerId, name }))}
              chosen={chosen}
              nobody={`level ${USUAL_LEVEL}, usual bag`}
              onChoose={setChosen}
            />
          )}
          {tool === 'landing' && (
            <LandingTool
              key={player?.playerId ?? ''}
              player={landingPlayer(player, own)}
              on={null}
              place={typed ?? asked[units].place}
              onPlace={setTyped}
              units={units}
            />
          )}
          {tool === 'swing' && <Swings player={player} />}
          {tool === 'convert' && <Converter own={own} units={units} />}
          {players.length === 0 && (
            <p className="small-print mt-3">Keep players on this phone, on the play page, and their clubs and paces are used here.</p>
          )}
        </main>
      </div>
    </MeasuresContext>
  );
}

/** A player as a phone knows them: their clubs, and how their shots stray as far as it was worked out before; else as their level's. */
function landingPlayer(player: Player | null, { paceM, clubM }: OwnMeasures): LandingPlayer {
  const bag = (player?.clubs ?? []).flatMap(({ label, loftDeg }) =>
    loftDeg !== null && loftDeg >= LEAST_LOFT ? [{ label, loftDeg }] : [],
  );
  return {
    name: player?.strays ? player.name : null,
    handed: player?.handed ?? 'right',
    strays: { ...asLevel(player?.level ?? USUAL_LEVEL), ...(player?.strays && { offGreen: player.strays.offGreen }) },
    balls: player?.strays?.balls ?? 0,
    clubs: bag.length > 0 ? bag : USUAL_BAG.filter(({ loftDeg }) => loftDeg >= LEAST_LOFT),
    ownBag: bag.length > 0,
    run: runFactor([]),
    paceM,
    clubM,
  };
}

function Swings({ player }: { player: Player | null }) {
  if (!player || player.swings.length === 0)
    return (
      <p className="empty mt-3">
        {player ? `${player.name} has no chart yet: note club and mark with each ball.` : 'Choose a player to see their chart.'}
      </p>
    );
  const { swings, units } = player;
  const chart: SwingChart = {
    clubs: [...new Set(swings.map(({ club }) => club))],
    marks: [...new Set(swings.map(({ mark }) => mark))],
    cells: swings,
    balls: swings.reduce((sum, { balls }) => sum + balls, 0),
  };
  const clubs = player.clubs.flatMap(({ label, loftDeg }) => (loftDeg === null ? [] : [{ label, loftDeg }]));
  return (
    <>
      <LookUp chart={chart} today={null} clubs={clubs} units={units} />
      <SwingTable chart={chart} unit={units === 'metric' ? 'm' : 'yd'} />
    </>
  );
}
