import Link from 'next/link';
import { CARE_IN_SHORT } from '@/core/game/words/care';
import { NO_WARNING } from '@/core/green/parties';
import type { GreenPlan } from '@/core/green/plan';
import type { SquadSession } from '@/core/squad/squad-session';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { PrintButton } from '../../form/print-button';
import { RefreshWhile } from '../../form/refresh-while';
import { PlanPicture } from '../../greens/plan-picture';
import { asSquadQuery, type SquadAsked } from './asked';
import { SquadBar, type Who } from './squad-bar';
import styles from './squad.module.scss';

type Props = {
  slug: string;
  asked: SquadAsked;
  who: Who;
  /** Whether what groups are made from is still being worked out. */
  pending: boolean;
  greens: readonly { id: string; name: string }[];
  green: { greenId: string; plan: GreenPlan } | null;
  units: UnitSystem;
  stations: readonly { name: string; what: string }[];
  /** Null where there is nobody, or nowhere to go. */
  session: SquadSession | null;
};

/** A group is called by a letter, so that it is no station. */
export const groupName = (group: number) => String.fromCharCode(65 + group);

/** A squad in rounds: who is where when, to be printed and shown on a wall. */
export function SquadPage({ slug, asked, who, pending, greens, green, units, stations, session }: Props) {
  const base = `/a/${slug}`;
  const there = who.here.length;
  return (
    <div className="p-3 p-md-4">
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <h1 className="me-auto mb-0">
          {there === 0 ? 'Players' : counted(there, 'player')} in rounds {green && <span className="beside">on {green.plan.title}</span>}
        </h1>
        {session && (
          <span className="d-flex gap-2 no-print">
            <PrintButton variant="outline-dark" />
            <Link href={`${base}/plan/squad/wall${asSquadQuery(asked)}`} className="btn btn-primary">
              Show on the wall
            </Link>
          </span>
        )}
      </div>
      <SquadBar asked={asked} who={who} greens={greens} />
      {pending && session && (
        <p className="small-print mt-2 mb-0">Some players’ figures are still being worked out. The groups may change.</p>
      )}
      <RefreshWhile pending={pending} />
      {!session ? (
        <p className="empty mt-3">
          {there < 2 ? (
            `You need at least two players.${who.chosen ? ` Choose who is here${who.groups.length > 0 ? ', or a group' : ''}.` : ''}`
          ) : (
            <>
              {green!.plan.title} has no stations yet. <Link href={`${base}/greens/${green!.greenId}`}>Add some</Link>, or choose any green.
            </>
          )}
        </p>
      ) : (
        <Arranged {...{ session, stations, green, units }} />
      )}
    </div>
  );
}

function Arranged({ session, stations, green, units }: Pick<Props, 'stations' | 'green' | 'units'> & { session: SquadSession }) {
  const { groups, rounds, balls, reasons } = session;
  const ends = rounds.at(-1)?.to ?? 0;
  return (
    <>
      {reasons.map((reason) => (
        <p key={reason} className={styles.reason}>
          {reason}
        </p>
      ))}
      <div className={styles.scroll} role="region" aria-label="Rounds" tabIndex={0}>
        <table className={styles.rounds}>
          <caption>
            {counted(rounds.length, 'round')}, {ends} minutes. One bell for all.
          </caption>
          <thead>
            <tr>
              <th scope="col">Minute</th>
              {groups.map((people, group) => (
                <th key={group} scope="col">
                  <b>{groupName(group)}</b>
                  <span>{people.map(({ name }) => name).join(', ')}</span>
                </th>
              ))}
              <th scope="col">Coach with</th>
            </tr>
          </thead>
          <tbody>
            {rounds.map(({ from, to, at, coach }, i) => (
              <tr key={i}>
                <th scope="row" className="fig">
                  {from}–{to}
                </th>
                {at.map((station, group) => (
                  <td key={group} className={coach === group ? styles.coached : undefined}>
                    {stations[station]!.name}
                  </td>
                ))}
                <td>{groupName(coach)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className={styles.places}>
        <section>
          <h2>Stations</h2>
          <ol className="rows">
            {stations.map(({ name, what }, i) => (
              <li key={name}>
                <span>
                  <b>{name}</b> {what}
                </span>
                <span className="text-nowrap">{counted(balls[i]!, 'ball')} there</span>
              </li>
            ))}
          </ol>
          <p className="small-print mt-2 mb-0">
            {CARE_IN_SHORT} At the bell, stop and collect together before you change. Juniors supervised. {green && NO_WARNING}
          </p>
        </section>
        {green && <PlanPicture plan={green.plan} system={units} label={`${green.plan.title} with its stations`} wide={460} high={310} />}
      </div>
    </>
  );
}
