'use client';

import { readAllowance } from './allowance';

type Props = {
  players: readonly { playerId: string; name: string }[];
  /** As typed, by the player. */
  typed: Readonly<Record<string, string>>;
  onType: (playerId: string, text: string) => void;
};

/** A head start for each player, as it is typed; what makes no sense is said beside it. */
export function HeadStartFields({ players, typed, onType }: Props) {
  return players.map(({ playerId, name }) => {
    const id = `allowance-${playerId}`;
    const text = typed[playerId] ?? '';
    const read = readAllowance(text);
    const wrong = 'wrong' in read ? read.wrong : null;
    return (
      <div key={playerId}>
        <label className="form-label" htmlFor={id}>
          Head start, {name}
        </label>
        <input
          id={id}
          className={`form-control ${wrong ? 'is-invalid' : ''}`}
          inputMode="decimal"
          placeholder="none"
          value={text}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          onChange={(event) => onType(playerId, event.target.value)}
        />
        {wrong && (
          <div id={`${id}-wrong`} className="invalid-feedback">
            {wrong}
          </div>
        )}
      </div>
    );
  });
}
