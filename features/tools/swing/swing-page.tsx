'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import type { Bias } from '@/core/tools/play-as';
import { ladderOf, type SwingChart } from '@/core/tools/swing-chart';
import { sayBias, sayLadder } from '@/core/tools/say-swing';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { PrintButton } from '../../form/print-button';
import { LookUp } from './look-up';
import { MarksForm } from './marks-form';
import { SwingTable } from './swing-table';
import { SwingTape } from './swing-tape';
import { PlayerChoice } from '../player-choice';
import { ToolHead } from '../tool-head';
import styles from './swing.module.scss';

export type SwingProps = {
  slug: string;
  players: readonly { id: string; name: string }[];
  player: { id: string; name: string; marks: readonly string[]; clubs: readonly { label: string; loftDeg: number }[] } | null;
  chart: SwingChart;
  /** How balls come out of what they were played for, and how they come out today against the chart. */
  bias: Bias | null;
  today: Bias | null;
  units: UnitSystem;
};

/** A player's swing lengths: how far each club carries to each mark, looked up from a yardage, and a card to print. */
export function SwingPage({ slug, players, player, chart, bias, today, units }: SwingProps) {
  const router = useRouter();
  const path = usePathname();
  const unit = units === 'metric' ? 'm' : 'yd';
  if (!player)
    return (
      <div className="p-3 p-md-4">
        <h1>Swing lengths</h1>
        <p className="empty">
          The chart belongs to a player: <Link href={`/a/${slug}/players/new`}>add one</Link> first.
        </p>
      </div>
    );
  const ladder = sayLadder(ladderOf(chart), unit);
  return (
    <div className="p-3 p-md-4">
      <ToolHead title="Swing lengths" beside={player.name}>
        <PlayerChoice
          players={players}
          chosen={player.id}
          onChoose={(playerId) => router.replace(`${path}?for=${playerId}`, { scroll: false })}
        />
        {chart.balls > 0 && <PrintButton variant="outline-dark" label="Print the card" />}
      </ToolHead>
      {chart.balls === 0 ? (
        <p className="empty mt-3">
          No ball with a swing mark and a carry yet. Play <Link href={`/a/${slug}/games/library/odd-numbers`}>Odd numbers</Link> from the
          library: note the club, the mark and how far long or short each ball lands. About 40 balls make a chart.
        </p>
      ) : (
        <>
          <div className="no-print">
            <LookUp chart={chart} today={today} clubs={player.clubs} units={units} />
          </div>
          <SwingTable chart={chart} unit={unit} />
          <p className="small-print">
            Carry, and within what 8 balls in 10 land either side, from {counted(chart.balls, 'ball')}. Hatched: no ball yet, estimated from
            the club and the mark.
          </p>
          <div className="no-print">
            <SwingTape chart={chart} units={units} />
            {(ladder.length > 0 || bias) && (
              <ul className={styles.ladder}>
                {bias && <li>{sayBias(bias)}</li>}
                {ladder.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            )}
          </div>
        </>
      )}
      <div className="no-print mt-4">
        <MarksForm key={player.id} slug={slug} playerId={player.id} initial={player.marks} />
      </div>
    </div>
  );
}
