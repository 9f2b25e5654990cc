import type { Measures } from '@/core/measures/hands';
import { setUpSheet, type SetUpSheet, type StationLine } from '@/core/sheet/sheet';
import type { GameSpec } from '@/core/game/spec';
import type { GreenPlan } from '@/core/green/plan';
import type { UnitSystem } from '@/core/units/length';
import { Tape } from '@/ui/tape';
import { PlanPicture } from '../../greens/plan-picture';
import { QrCode } from '@/ui/qr-code';
import styles from './sheet.module.scss';

type Props = {
  /** The game as it is for whom the zones are laid out. */
  spec: GameSpec;
  version: number;
  plan: GreenPlan | null;
  system: UnitSystem;
  /** Who sets it up, and with what. */
  by: { name: string; measures: Measures };
  /** Where the codes lead: the game, and each of its stations. */
  gameAddress: string;
  stationAddress: (stationKey: string) => string;
  /** What is said about zones that are not the same for everybody. */
  zonesNote: string | null;
  choices: React.ReactNode;
};

/** The set-up sheet: what to bring, where to put it, how it goes; then a card for each station. */
export function SheetPage({ spec, version, plan, system, by, gameAddress, stationAddress, zonesNote, choices }: Props) {
  const sheet = setUpSheet(spec, plan && { title: plan.title, plan }, by.measures, system);
  const onGreen = spec.stations.some((station) => plan?.stations.some((one) => one.key === station.place));
  return (
    <div className={`sheet ${styles.sheet}`}>
      {choices}
      <header className={`sheet-head ${styles.head}`}>
        <div>
          <h1>{sheet.title}</h1>
          <p className="mb-0">{[...sheet.meta.slice(0, 1), `version ${version}`, ...sheet.meta.slice(1)].join(' · ')}</p>
        </div>
        <p className={styles.by}>
          set up by {by.name}
          <br />
          {sheet.measures}
        </p>
      </header>
      <div className={styles.two}>
        <section>
          <h2>Bring</h2>
          <ul className={styles.plain}>
            {sheet.bring.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
        <Zones sheet={sheet} note={zonesNote} system={system} />
      </div>
      {plan && onGreen && (
        <figure className={styles.plan}>
          <PlanPicture
            plan={plan}
            system={system}
            stations={spec.stations}
            label={`${plan.title} with the stations`}
            wide={700}
            high={225}
          />
        </figure>
      )}
      {sheet.stations.length > 0 && <Stations sheet={sheet} onGreen={onGreen} />}
      <div className={styles.end}>
        <div>
          <section>
            <h2>How it goes</h2>
            <p>{sheet.howItGoes.join(' ')}</p>
          </section>
          <section>
            <h2>Care</h2>
            <p>{sheet.care.join(' ')}</p>
          </section>
        </div>
        <figure className={styles.code}>
          <QrCode address={gameAddress} label={gameAddress} />
          <figcaption>opens this game on a phone</figcaption>
        </figure>
      </div>
      {sheet.stations.length > 0 && (
        <section className={styles.cards} aria-label="Station cards">
          <h2 className="no-print">Station cards, to cut out</h2>
          {sheet.stations.map((station) => (
            <Card key={station.key} station={station} sheet={sheet} address={stationAddress(station.key)} />
          ))}
        </section>
      )}
    </div>
  );
}

function Zones({ sheet, note, system }: { sheet: SetUpSheet; note: string | null; system: UnitSystem }) {
  const { zones } = sheet;
  if (zones.length === 0) return null;
  return (
    <section>
      <h2>At the hole</h2>
      <ul className={styles.plain}>
        {zones.map(({ what, says, laidOut }, i) => (
          <li key={i}>
            <b className="fig">{says}</b> {what === 'measured' ? 'measured out to here' : laidOut ? `· ${laidOut}` : '· by tape'}
          </li>
        ))}
      </ul>
      <Tape
        label="The zones on the tape"
        balls={[]}
        rings={zones
          .filter((zone, i) => zones.findIndex((one) => one.radiusM === zone.radiusM) === i)
          .map((zone) => ({ edgeM: zone.radiusM, label: zone.what }))}
        system={system}
      />
      {note && <p className="small-print mb-0">{note}</p>}
    </section>
  );
}

function Stations({ sheet, onGreen }: { sheet: SetUpSheet; onGreen: boolean }) {
  return (
    <>
      <table className={styles.stations}>
        <thead>
          <tr>
            <th scope="col" colSpan={2}>
              <span className="visually-hidden">station</span>
            </th>
            <th scope="col">from the hole</th>
            {onGreen && <th scope="col">walk from the last</th>}
          </tr>
        </thead>
        <tbody>
          {sheet.stations.map((station) => (
            <tr key={station.key}>
              <th scope="row">
                <span className={`${styles.number} fig`}>{station.no}</span>
              </th>
              <td>
                <b className={styles.name}>{station.name}</b>
                <br />
                {[station.called, station.lie, ...station.more].filter(Boolean).join(' · ')}
                {station.note && <em className={styles.note}>{station.note}</em>}
              </td>
              <td>
                <b className={`${styles.paces} fig`}>{station.paces}</b>
                {(station.hole || station.station.target === 'peg') && (
                  <span className="text-nowrap"> from {station.hole || sayAim(station)}</span>
                )}
              </td>
              {onGreen && <td>{station.walk ?? (station.no === 1 ? 'start' : 'not on the plan')}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      {sheet.walk && <p className="mt-2 mb-0">{sheet.walk}</p>}
    </>
  );
}

/** "hole B", "the peg": what a station aims at. */
function sayAim({ hole, station: { target } }: StationLine): string {
  const what = target === 'peg' ? 'peg' : 'hole';
  return hole ? `${what} ${hole}` : `the ${what}`;
}

/** What stands at a station: its number from afar, what is played, and a code that opens it in play. */
function Card({ station, sheet, address }: { station: StationLine; sheet: SetUpSheet; address: string }) {
  return (
    <article className={styles.card}>
      <span className={`${styles.big} fig`}>{station.no}</span>
      <div>
        <p className={styles.cardGame}>{sheet.title}</p>
        <h3>{station.name}</h3>
        <p className="mb-1">{[station.called, station.lie, ...station.more].filter(Boolean).join(' · ')}</p>
        {station.note && <p className={styles.note}>{station.note}</p>}
        <p className="mb-0">
          {station.paces} from {sayAim(station)}
        </p>
      </div>
      <div className={styles.cardCode}>
        <QrCode address={address} label={address} />
      </div>
    </article>
  );
}
