import { changesOf } from '@/core/shot/history';
import { sayCounts, sayMeasured, sayResult } from '@/core/shot/say-shot';
import type { Shot, ShotEvent } from '@/core/shot/shot';
import { counted } from '@/core/units/format';
import { sayMoment } from '@/core/units/say-moment';

type Props = {
  log: { event: ShotEvent; by: string; at: Date }[];
  players: { playerId: string; name: string; units: 'imperial' | 'metric' }[];
  timeZone: string;
};

/** What was corrected or removed of these players after it was recorded, by whom and when. */
export function Changes({ log, players, timeZone }: Props) {
  const said = new Map(log.map((entry) => [entry.event.eventId, entry]));
  const changes = changesOf(log.map((entry) => entry.event)).filter(({ before }) =>
    players.some(({ playerId }) => playerId === before.playerId),
  );
  if (changes.length === 0) return null;
  return (
    <details className="mb-4 no-print">
      <summary>{counted(changes.length, 'change')} after a ball was recorded</summary>
      <ul className="rows">
        {changes.map(({ event, before, after }) => {
          const { by, at } = said.get(event.eventId)!;
          const player = players.find((one) => one.playerId === before.playerId);
          const say = (shot: Shot) =>
            [sayResult(shot, player?.units ?? 'imperial'), sayMeasured(shot.measured), sayCounts(shot.counts)].filter(Boolean).join(', ');
          return (
            <li key={event.eventId}>
              <span>
                {player?.name}, ball {before.turnNo + 1}: {say(before)} <b>{after ? `→ ${say(after)}` : 'removed'}</b>
                <br />
                <span className="small-print">
                  {by} · {sayMoment(at, timeZone)}
                </span>
              </span>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
