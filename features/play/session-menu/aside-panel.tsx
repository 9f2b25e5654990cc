'use client';

import { sayConditions } from '@/core/shot/conditions';
import { sayResult } from '@/core/shot/say-shot';
import type { Shot } from '@/core/shot/shot';
import { settleAside, type SetAside } from '../device/store';
import { sendWaiting } from '../device/sync';
import { useAside } from '../device/use-session';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

/** What the server refuses for good: why, and what is to become of it. */
export function AsidePanel({ bundle, shots, onClose }: MenuProps) {
  const aside = useAside(bundle.sessionId);
  const again = async (id: string) => {
    await settleAside(id, 'again');
    void sendWaiting();
  };
  return (
    <>
      <Top title="Not saved" onBack={onClose} />
      <div className={styles.list}>
        {aside.length === 0 && <p>Everything is saved.</p>}
        {aside.length > 0 && (
          <p>These weren’t saved and don’t count. Play the ball again, fix the cause and send it again, or discard it.</p>
        )}
        {aside.map((one) => (
          <section key={one.id} className={styles.twice} aria-label="Not saved">
            <p>
              <b>{sayAside(one, bundle, shots)}</b>
              <br />
              {one.why}
            </p>
            <div className={styles.rival}>
              <button type="button" className="btn btn-outline-dark" onClick={() => void again(one.id)}>
                Send again
              </button>
              <button type="button" className="btn btn-outline-dark" onClick={() => void settleAside(one.id, 'discard')}>
                Discard
              </button>
            </div>
          </section>
        ))}
      </div>
    </>
  );
}

/** "Bashir, ball 5: 4 ft 3", "A correction of ball 5", "The day: firm". */
function sayAside({ said }: SetAside, { players }: MenuProps['bundle'], shots: readonly Shot[]): string {
  const player = (id: string) => players.find(({ playerId }) => playerId === id);
  if ('say' in said) {
    if (said.say === 'start') return 'This session, with all its balls';
    if (said.say === 'note') return `${said.whose === 'coach' ? 'Coach’s note' : 'Note'}: ${said.text}`;
    if (said.say === 'conditions') return `Conditions: ${sayConditions(said.conditions) || 'none'}`;
    return said.say === 'station' ? 'A station’s distance' : said.stopped ? 'Ending this session' : 'Resuming this session';
  }
  if (said.kind === 'record') {
    const { playerId, turnNo } = said.payload;
    const who = player(playerId);
    return `${who ? `${who.name}, ball` : 'Ball'} ${turnNo + 1}: ${sayResult({ ...said.payload, shotId: said.shotId }, who?.units ?? 'imperial')}`;
  }
  const ball = shots.find(({ shotId }) => shotId === said.shotId);
  return `${said.kind === 'amend' ? 'A correction' : 'The removal'} of ${ball ? `ball ${ball.turnNo + 1}` : 'a ball'}`;
}
