'use client';

import { useCallback, useMemo, useState, type ReactNode } from 'react';
import type { Point } from '@/core/geometry/point';
import type { GreenPlan } from '@/core/green/plan';
import { PACE_M } from '@/core/measures/sticks';
import type { Hand } from '@/core/golf/words';
import type { PlayableLie } from '@/core/physics/launch';
import type { LandingAsked } from '@/core/tools/landing-answer';
import { nameOf, UNMEASURED_RUN, type Club, type LandingOption } from '@/core/tools/landing-options';
import type { LandingPlace } from '@/core/tools/landing-place';
import type { LandingStart } from '@/core/tools/landing-start';
import { ENOUGH_TO_SHOW, type RunFactor } from '@/core/tools/run-factor';
import { bestOf, sayAimOff, sayBest, SAND_WORDS, TAKEN_FOR_GRANTED } from '@/core/tools/say-landing';
import type { Strays } from '@/core/tools/strays';
import { terrainOf, terrainOn } from '@/core/tools/terrain';
import { counted, formatLeft, formatLength } from '@/core/units/format';
import { snap, type UnitSystem } from '@/core/units/length';
import { Calibration } from './calibration';
import { flyer } from './fly-option';
import styles from './landing.module.scss';
import { OptionCard } from './option-card';
import { OptionsTable } from './options-table';
import { PlaceFields } from './place-fields';
import { RoutesPanel } from './routes-panel';
import { RulePanel } from './rule-panel';
import { ShotPlan } from './shot-plan';
import { SideView } from './side-view';
import { useLanding } from './use-landing';

/** Whose shots: how they stray, their clubs, how far their balls run. */
export type LandingPlayer = {
  name: string | null;
  handed: Hand;
  strays: Strays;
  balls: number;
  clubs: readonly Club[];
  ownBag: boolean;
  run: RunFactor;
  paceM: number | null;
  clubM: number | null;
};
/** A station on a plan of a green. */
export type LandingStation = { greenId: string; plan: GreenPlan; key: string; name: string; ball: Point; hole: Point };

type Props = {
  player: LandingPlayer;
  /** Where on a plan; null: the place is described in a few figures. */
  on: LandingStation | null;
  place: LandingPlace;
  onPlace: (place: LandingPlace) => void;
  units: UnitSystem;
  /** A way to make a game of a spot. */
  makeGame?: (start: LandingStart) => ReactNode;
};

/** Where to land a ball, from one place: every club and flight, the best of them drawn, what each forgives. It needs no server and no network. */
export function LandingTool({ player, on, place, onPlace, units, makeGame }: Props) {
  const [tried, setTried] = useState<RunFactor | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const [moved, setMoved] = useState<number | null>(null);
  const factor = tried ?? player.run;
  const run = useMemo(() => (factor.balls > 0 ? { k: factor.k, from: factor.from, to: factor.to } : UNMEASURED_RUN), [factor]);
  const paceM = player.paceM ?? PACE_M;
  const askedText = useMemo(() => {
    const question: LandingAsked = {
      place,
      on: on && { plan: on.plan, ball: on.ball, hole: on.hole },
      clubs: player.clubs,
      strays: player.strays,
      run,
      paceM,
      clubM: player.clubM,
    };
    return place.lie === 'sand' ? null : JSON.stringify(question);
  }, [place, on, player, run, paceM]);

  const [picked, setPicked] = useState<string | null>(null);
  const { options, busy, routes, failed } = useLanding(askedText, picked);
  const best = useMemo(() => (options ? bestOf(options) : []), [options]);
  const found = options?.flatMap((one) => (one.answer === 'found' ? [one] : [])) ?? [];
  const choice = found.find((one) => nameOf(one) === chosen) ?? found[0] ?? null;
  // Where there is no shot to the hole, the highest one is tried elsewhere on the green.
  const highest = player.clubs.toSorted((one, other) => other.loftDeg - one.loftDeg)[0];
  const short = options?.every(({ answer }) => answer === 'too_far') ?? true;
  const routed = choice ?? (!short && highest ? { club: highest, flight: 'high' as const } : null);
  const pick = routed ? JSON.stringify({ club: routed.club, flight: routed.flight }) : null;
  if (pick !== picked) setPicked(pick);

  // While the spot is moved the ground stays.
  const stretches = useMemo(() => (on ? terrainOn(on.plan, on.ball, on.hole) : terrainOf(place)).lineTo(0), [on, place]);
  const ground = { stretches, stimpFt: place.stimpFt, firmness: place.firmness };
  const { lie, sit, stance, windMs: wind } = place;
  const air = lie === 'sand' ? null : flyer(ground, { lie, sit, stance, wind }, run.k);
  const shown = [...new Set([...best.map(({ option }) => option), ...(choice ? [choice] : [])])].slice(0, 4);
  const at = choice ? shown.findIndex((one) => nameOf(one) === nameOf(choice)) : 0;
  const flown = air ? shown.map((one, i) => air.fly(one, i === at ? moved : null)) : [];
  const there = flown[at];
  const choose = useCallback((name: string) => {
    setChosen(name);
    setMoved(null);
  }, []);
  const change = (next: LandingPlace) => {
    setMoved(null);
    onPlace(next);
  };
  /** The chosen spot, or the one it was moved to, as a landing zone. */
  const gameFrom = ({ club, flight, carryM }: LandingOption): LandingStart => ({
    carryM: snap(moved ?? carryM),
    distanceM: snap(place.distanceM),
    edgeM: snap(place.edgeM),
    lie: place.lie as LandingStart['lie'],
    club: club.label,
    flight,
    on: on && { green: on.greenId, station: on.key },
  });
  const missM = there?.finishM == null ? null : there.finishM - place.distanceM;

  return (
    <>
      <div className={styles.layout}>
        <section aria-label="The shot" className={styles.place}>
          {on && <p className={styles.facts}>{sayPlace(place, units)}</p>}
          <PlaceFields place={place} units={units} planned={on !== null} onChange={change} />
        </section>
        <section aria-label="Where to land it" aria-busy={busy} className={styles.answer}>
          {failed && <p role="alert">{failed}</p>}
          {place.lie === 'sand' ? (
            <p className={styles.verdict}>{SAND_WORDS}</p>
          ) : !options ? (
            <p className="small-print">Working it out …</p>
          ) : (
            <>
              <p className={styles.verdict} role="status">
                {sayBest(best, options)}
              </p>
              {air && there && (
                <>
                  <SideView
                    label={`${nameOf(shown[at]!)} from the side, with ${counted(flown.length - 1, 'other')}`}
                    distanceM={place.distanceM}
                    stretches={stretches}
                    heightAt={air.heightAt}
                    flown={flown}
                    chosen={at}
                    paceM={paceM}
                    units={units}
                    onChoose={(i) => choose(nameOf(shown[i]!))}
                    onMove={setMoved}
                  />
                  {moved !== null && (
                    <p className={styles.moved} role="status">
                      {missM === null
                        ? 'Land it there and it won’t stop.'
                        : Math.abs(missM) < 0.08
                          ? 'Land it there and it stops at the hole.'
                          : `Land it there and it stops ${formatLeft(Math.abs(missM), units)} ${missM > 0 ? 'past' : 'short of'} the hole.`}{' '}
                      <button type="button" className="btn btn-link p-0 align-baseline" onClick={() => setMoved(null)}>
                        Back to the best spot
                      </button>
                    </p>
                  )}
                </>
              )}
              {choice && makeGame && <p className={`${styles.make} no-print`}>{makeGame(gameFrom(choice))}</p>}
              <div className={styles.cards}>
                {best.map(({ option, reason }) => (
                  <OptionCard
                    key={nameOf(option)}
                    option={option}
                    reason={reason}
                    aim={sayAimOff(option, place.distanceM, player.handed, units)}
                    edgeM={place.edgeM}
                    paceM={paceM}
                    units={units}
                    chosen={choice !== null && nameOf(option) === nameOf(choice)}
                    onChoose={choose}
                  />
                ))}
              </div>
            </>
          )}
        </section>
      </div>
      {place.lie !== 'sand' && options && (
        <div className={styles.more}>
          <OptionsTable options={options} units={units} chosen={choice && nameOf(choice)} onChoose={choose} />
          <div className={styles.side2}>
            {on && (
              <ShotPlan
                plan={on.plan}
                ball={on.ball}
                hole={on.hole}
                label={`${on.name} from above, with where to land the ball`}
                flown={flown}
                chosen={at}
                routes={routes}
                units={units}
              />
            )}
            {routed && <RoutesPanel routes={routes} name={nameOf(routed)} holeM={place.distanceM} units={units} />}
            {choice && <RulePanel option={choice} options={options} distanceM={place.distanceM} units={units} />}
            <Calibration
              clubs={player.clubs}
              ground={{
                stretches: [{ toM: Infinity, surface: 'green', slope: place.slope }],
                stimpFt: place.stimpFt,
                firmness: place.firmness,
              }}
              lie={place.lie as PlayableLie}
              units={units}
              factor={factor}
              onChange={setTried}
            />
            <section>
              <h2>What this assumes</h2>
              <ul className="small-print mb-0">
                <li>
                  {player.name ? `${player.name}, from ${counted(player.balls, 'ball')}` : `A level ${player.strays.level} player`}
                  {player.ownBag ? ', with their own clubs.' : ', with a usual bag.'}{' '}
                  {factor.balls === 0
                    ? 'No ball has been measured from landing to stop: the spot is given as a range.'
                    : factor.balls < ENOUGH_TO_SHOW
                      ? `${counted(factor.balls, 'ball')} measured from landing to stop: a few more narrow the range.`
                      : `Balls run ${factor.k.toFixed(2)} times as far as usual (${counted(factor.balls, 'ball')}).`}
                </li>
                {TAKEN_FOR_GRANTED.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
              <p className="small-print mt-2 mb-0">Nobody stands where balls come down.</p>
            </section>
          </div>
        </div>
      )}
    </>
  );
}

/** What a plan says of a shot: "23 yd, carry 10 yd to the green, 5 yd of green behind the hole, level". */
function sayPlace({ distanceM, edgeM, beyondM, slope, sideSlope }: LandingPlace, units: UnitSystem): string {
  const says = (metres: number) => formatLength(metres, units === 'metric' ? 'm' : 'yd', 0);
  const lies = Math.abs(slope) < 0.0005 ? 'level' : `${(100 * Math.abs(slope)).toFixed(1)}% ${slope > 0 ? 'uphill' : 'downhill'}`;
  const across =
    Math.abs(sideSlope) < 0.0005 ? '' : `, ${(100 * Math.abs(sideSlope)).toFixed(1)}% down to the ${sideSlope > 0 ? 'left' : 'right'}`;
  return `${says(distanceM)}: ${says(edgeM)} to the green, ${says(beyondM)} behind the hole, ${lies}${across}.`;
}
