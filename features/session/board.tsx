import { listed } from '@/core/units/format';
import type { Bundle } from '@/core/exchange/bundle';
import type { Table } from '@/core/play/play';
import { sayScore, scoreFigure } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import styles from './session.module.scss';

type Props = {
  bundle: Pick<Bundle, 'spec' | 'players'>;
  table: Table;
  shown?: number;
  /** Where a player can be chosen to be shown. */
  onShow?: (seat: number) => void;
};

/** How several players stand: who won in words, then everybody with their score. */
export function Board({ bundle: { spec, players }, table, shown, onShow }: Props) {
  const unit = schemeOf(spec.scoring).unit(spec.scoring);
  const { ahead, standings, over } = table;
  const names = ahead.map((seat) => players[seat]!.name);
  const first = standings[ahead[0] ?? 0]!;
  const figure = (seat: number) => scoreFigure(standings[seat]!.score, unit, players[seat]!.units);
  return (
    <section className={styles.board} aria-label="Standing">
      <h1>
        {names.length === 0 ? 'No balls yet' : names.length === 1 ? `${names[0]} ${over ? 'wins' : 'leads'}` : `Level: ${listed(names)}`}
        {names.length > 0 && `, ${sayScore(first.score, unit, players[ahead[0]!]!.units)}`}
      </h1>
      <ol>
        {players.map((player, seat) => (
          <li key={player.playerId}>
            {onShow ? (
              <button type="button" aria-pressed={seat === shown} onClick={() => onShow(seat)}>
                <Line player={player} figure={figure(seat)} />
              </button>
            ) : (
              <div>
                <Line player={player} figure={figure(seat)} />
              </div>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

function Line({ player, figure }: { player: Bundle['players'][number]; figure: string }) {
  return (
    <>
      <span>
        {player.name}
        {player.entrant.allowance !== 0 && <small> with {player.entrant.allowance} ahead</small>}
      </span>
      <b className="fig">{figure}</b>
    </>
  );
}
