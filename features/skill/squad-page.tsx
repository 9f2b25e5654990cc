import Link from 'next/link';
import { say } from '@/core/golf/words';
import { sayShots } from '@/core/skill/say-cell';
import { commonWeakness, helpIn, togetherIn, weakestSkills, type Squad } from '@/core/skill/squad';
import { counted, inWords, signed } from '@/core/units/format';
import { asQuery, type Asked } from './asked';
import { HeatKey } from './heat';
import { PerSwitch } from './per-switch';
import { shadeOf } from './shade';
import styles from './skill.module.scss';

type Props = { slug: string; squad: Squad; ids: string[]; levels: number[]; asked: Asked };

/** Players by skills: the squad's common weakness, who could practise together, and who could help whom. */
export function SquadPage({ slug, squad, ids, levels, asked }: Props) {
  const { kinds, members, common } = squad;
  const played = kinds.map((_, k) => k).filter((k) => common[k]!.players > 0);
  const most = Math.max(0.02, ...members.flatMap(({ skills }) => played.map((k) => Math.abs(skills[k]!.mean))));
  const weakness = commonWeakness(squad);
  const shots = (k: number) => sayShots(kinds[k]!);
  const [pairs, help] = [togetherIn(squad), helpIn(squad)];
  return (
    <div className="p-3 p-md-4">
      <div className={styles.title}>
        <h1>
          The squad <span className="beside">each against their own level · {counted(members.length, 'player')}</span>
        </h1>
        <div className="d-flex gap-2">
          <Link href={`/a/${slug}/players`} className="btn btn-outline-dark no-print">
            Players
          </Link>
          <PerSwitch asked={asked} />
        </div>
      </div>
      {played.length === 0 ? (
        <p className="empty">
          No ball yet. <Link href={`/a/${slug}/games`}>Choose a game</Link> and play it with the squad.
        </p>
      ) : (
        <>
          <p className={styles.say}>
            <b>
              {weakness === null
                ? 'Nothing is surely lost by the squad as a whole: every player’s own weakness comes first.'
                : `The squad as a whole loses most with ${shots(weakness)}: ${signed(common[weakness]!.mean)} a ${asked.per} on average of ${common[weakness]!.players}, among the three weakest of ${inWords(common[weakness]!.weak)}.`}
            </b>{' '}
            {pairs.map(({ kind, names }) => `${listed(names)} could practise ${shots(kind)} together.`).join(' ')}
          </p>
          <div className={styles.scroll} role="region" aria-label="Strokes lost, by player and skill" tabIndex={0}>
            <table className={styles.squad}>
              <thead>
                <tr>
                  <th scope="col">Player</th>
                  {played.map((k) => (
                    <th key={k} scope="col">
                      {say(kinds[k]!.shotType)}
                      {kinds[k]!.shotType === 'putt' || kinds[k]!.shotType === 'bunker' ? '' : `, ${say(kinds[k]!.surface)}`}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {members.map((member, i) => (
                  <tr key={ids[i]}>
                    <th scope="row">
                      <Link href={`/a/${slug}/players/${ids[i]}${asQuery({ per: asked.per })}`}>{member.name}</Link>{' '}
                      <small className="small-print">{levels[i]}</small>
                    </th>
                    {played.map((k) => {
                      const { mean, interval80, balls } = member.skills[k]!;
                      const [low, high] = interval80;
                      const says = `${member.name}, ${shots(k)}: ${signed(mean)} a ${asked.per}, ${signed(low)} to ${signed(high)} eight times in ten, ${balls} balls`;
                      return (
                        <td key={k}>
                          <span
                            className={`${styles.cell} ${balls === 0 ? styles.never : ''}`}
                            style={balls === 0 ? undefined : shadeOf(mean / most, low <= 0 && high >= 0)}
                            title={says}
                          >
                            <span className="visually-hidden">{says}</span>
                            {balls > 0 && (
                              <>
                                <b className="fig" aria-hidden="true">
                                  {signed(mean)}
                                </b>
                                <small aria-hidden="true">{balls}</small>
                              </>
                            )}
                          </span>
                        </td>
                      );
                    })}
                  </tr>
                ))}
                <tr>
                  <th scope="row">All, on average</th>
                  {played.map((k) => (
                    <td key={k} className="text-center">
                      <b className="fig">{signed(common[k]!.mean)}</b>
                      <br />
                      <small className="small-print">of {common[k]!.players}</small>
                    </td>
                  ))}
                </tr>
              </tbody>
            </table>
          </div>
          <HeatKey />
          <h2 className="mt-4">Who could help whom</h2>
          {help.length === 0 ? (
            <p className="small-print">Nobody is surely better at somebody’s weakest skill yet (nine times in ten).</p>
          ) : (
            <ul className={styles.list}>
              {help.map(({ kind, helper, helped, chance }) => (
                <li key={helped}>
                  <b>{helper}</b> could show <b>{helped}</b> {shots(kind)}{' '}
                  <small className="small-print">fewer strokes with them, {Math.min(99, Math.round(100 * chance))}% sure</small>
                </li>
              ))}
            </ul>
          )}
          {members.some((member) => weakestSkills(member, 1).length === 0) && (
            <p className="small-print">
              Nothing is said of {listed(members.filter((member) => weakestSkills(member, 1).length === 0).map(({ name }) => name))}: no
              ball yet, or nothing that loses.
            </p>
          )}
        </>
      )}
    </div>
  );
}

const listed = (names: readonly string[]) => (names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`);
