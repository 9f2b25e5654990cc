import { schemeOf } from '@/core/game/scoring';
import { sayRadius } from '@/core/game/sizes';
import type { GameSpec } from '@/core/game/spec';
import styles from './forecast.module.scss';
import { percent, type Shared } from './shared';

/** How much a ball of the game tells about a player, and how much it would, recorded otherwise. */
export function InformationPanel({ game, units, answer, targetName }: Shared) {
  const { information: piece } = answer;
  if (!piece) return null;
  const { game: own, circle, strokes } = piece.information;
  const lines = [
    { name: 'this game', share: own },
    { name: `one circle of ${sayRadius(circle.radiusM, game.sizes, units)}`, share: circle.share },
    { name: 'strokes to hole out', share: strokes },
  ];
  return (
    <>
      <h3 className={styles.title}>What you learn</h3>
      <p className="small-print mb-1">about {targetName} from each ball, compared with measuring it by tape</p>
      <ul className={styles.tells}>
        {lines.map(({ name, share }, i) => (
          <li key={name}>
            <span>{name}</span>
            <span className={styles.meter} aria-hidden="true">
              <span style={{ width: `${100 * share}%`, background: i === 0 ? 'var(--ink)' : 'var(--line-2)' }} />
            </span>
            <b className="fig">{percent(share)}</b>
          </li>
        ))}
      </ul>
      {own < 0.35 && <p className="small-print mb-0">{adviceFor(game)}</p>}
    </>
  );
}

function adviceFor({ scoring }: GameSpec): string {
  const sees = schemeOf(scoring).sees(scoring);
  if (sees.includes('executed')) return 'Whether the shot came off doesn’t show how close it finished.';
  if (sees.includes('strokes')) return 'Score the first ball by rings or tape as well, and you learn far more.';
  return 'Nearly all balls, or hardly any, finish in this zone, so you learn little. Size it to the player.';
}
