import { sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { saysSurface } from '@/core/golf/shot-types';
import Link from 'next/link';
import { say } from '@/core/golf/words';
import { sayShot, sayShots } from '@/core/board/say-cell';
import { percentOf } from '@/core/board/certainty';
import { commonWeakness, type Squad } from '@/core/board/squad';
import { counted, inWords, listedInShort } from '@/core/units/format';
import type { SquadBoard } from '@/server/known/squad';
import { asQuery, type BoardAsked } from './asked';
import { ChooseGame } from '../form/choose-game';
import { RefreshWhile } from '../form/refresh-while';
import { HeatKey } from './heat';
import { PerSwitch } from './per-switch';
import styles from './skill.module.scss';
import { firstOf } from '@/ui/first-of';
import { SquadTable } from './squad-table';

type Props = {
  slug: string;
  mayChange: boolean;
  board: SquadBoard;
  /** Whether all rows of a large squad were asked for. */
  all: boolean;
  asked: BoardAsked;
  strokes: StrokesAs;
};

/** Players by skills: the squad's common weakness, who could practise together, and who could help whom. */
export function SquadPage({ slug, mayChange, board, all, asked, strokes }: Props) {
  const { squad, ids, levels, together, help, pending } = board;
  const { kinds, members, weakest, common } = squad;
  const played = kinds.map((_, k) => k).filter((k) => common[k]!.players > 0);
  const weakness = commonWeakness(squad);
  const shots = (k: number) => sayShots(kinds[k]!);
  const without = members.filter((_, i) => weakest[i]!.length === 0).map(({ name }) => name);
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
      {pending && <p className="small-print">Some players’ figures are still being worked out …</p>}
      <RefreshWhile pending={pending} />
      {played.length === 0 && pending ? null : played.length === 0 ? (
        <p className="empty">
          No ball yet. <ChooseGame slug={slug} mayChange={mayChange} /> and play it with the squad.
        </p>
      ) : (
        <>
          <p className={styles.say}>
            <b>
              {weakness === null
                ? 'The squad has no shared weakness. Work on each player’s own.'
                : `The squad’s shared weakness: ${shots(weakness)}, ${sayStrokes(common[weakness]!.mean, strokes)} ${strokes} a ${asked.per} on average of ${counted(common[weakness]!.players, 'player')}, and among the three weakest of ${inWords(common[weakness]!.weak)}.`}
            </b>{' '}
            {together.map(({ kind, names }) => `${listedInShort(names)} could practise ${shots(kind)} together.`).join(' ')}
          </p>
          <SquadTable
            of={members.length}
            most={Math.max(0.02, ...members.flatMap(({ skills }) => played.map((k) => Math.abs(skills[k]!.mean))))}
            rows={firstOf(members, all).map(({ name, skills }, i) => ({
              id: ids[i]!,
              name,
              level: levels[i]!,
              skills: played.map((k) => {
                const { mean, interval80, balls } = skills[k]!;
                return { mean, low: interval80[0], high: interval80[1], balls };
              }),
            }))}
            skills={played.map((k) => ({ heading: headingOf(kinds[k]!), shots: shots(k) }))}
            average={played.map((k) => ({ mean: common[k]!.mean, players: common[k]!.players }))}
            per={asked.per}
            strokes={strokes}
            href={`/a/${slug}/players`}
            query={asQuery({ per: asked.per })}
          />
          <HeatKey strokes={strokes} />
          <h2 className="mt-4">Who could help whom</h2>
          {help.length === 0 ? (
            <p className="small-print">Too close to call yet: no one is 90% sure to be better at another’s weakest shot.</p>
          ) : (
            <ul className={styles.list}>
              {help.slice(0, SHOWN).map(({ kind, helper, helped, chance }) => (
                <li key={helped}>
                  <b>{helper}</b> could show <b>{helped}</b> {shots(kind)}{' '}
                  <small className="small-print">fewer strokes with them, {percentOf(chance)}% sure</small>
                </li>
              ))}
            </ul>
          )}
          {help.length > SHOWN && <p className="small-print">and {help.length - SHOWN} more</p>}
          {without.length > 0 && <p className="small-print">Not compared: {listedInShort(without)} (no ball yet, or no weakness).</p>}
        </>
      )}
    </div>
  );
}

/** As many as a page shows of a large squad. */
const SHOWN = 24;

const headingOf = ({ shotType, surface }: Squad['kinds'][number]) =>
  saysSurface(shotType) ? sayShot(shotType) : `${sayShot(shotType)}, ${say(surface)}`;
