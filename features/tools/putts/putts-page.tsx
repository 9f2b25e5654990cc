'use client';

import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import type { GreenPlan } from '@/core/green/plan';
import type { Point } from '@/core/geometry/point';
import type { Strays } from '@/core/tools/strays';
import { counted, signed } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { FringePanel } from './fringe-panel';
import { LinePanel } from './line-panel';
import { OddsPanel } from './odds-panel';
import { RungsPanel } from './rungs-panel';
import { PlayerChoice } from '../player-choice';
import { ToolHead } from '../tool-head';
import styles from './putts.module.scss';

export type PuttsProps = {
  slug: string;
  asked: { for?: string | undefined; green?: string | undefined; station?: string | undefined };
  players: readonly { id: string; name: string }[];
  player: { id: string; name: string; balls: number } | null;
  strays: Strays;
  /** Of the bands of putts: what each costs a round, the one most worth practising first; null without a player. */
  next: { band: string; perRound: number; low: number; high: number; balls: number }[] | null;
  greens: readonly { id: string; name: string }[];
  green: { greenId: string; plan: GreenPlan; putts: readonly { key: string; name: string; ball: Point; hole: Point }[] } | null;
  /** Of the player, else the coach's; null where nobody measured it. */
  putterM: number | null;
  units: UnitSystem;
};

/** Putts: the odds from anywhere, the line and the pace on a slope, the aim from the fringe. */
export function PuttsPage({ slug, asked, players, player, strays, next, greens, green, putterM, units }: PuttsProps) {
  const router = useRouter();
  const path = usePathname();
  const go = (change: Partial<PuttsProps['asked']>) => {
    const query = new URLSearchParams(
      Object.entries({ ...asked, ...change }).filter((entry): entry is [string, string] => Boolean(entry[1])),
    );
    router.replace(query.size === 0 ? path : `${path}?${query}`, { scroll: false });
  };
  const who = player?.name ?? `level ${strays.level}`;
  const first = next?.[0];
  return (
    <div className="p-3 p-md-4">
      <ToolHead title="Putts">
        <PlayerChoice
          players={players}
          chosen={asked.for}
          nobody={`level ${strays.level}`}
          onChoose={(playerId) => go({ for: playerId })}
        />
      </ToolHead>
      {first && player && (
        <p className={styles.next}>
          <b>Practise {first.band} next.</b>{' '}
          {first.perRound > 0 ? `${signed(first.perRound)} strokes lost a round` : `${signed(-first.perRound)} strokes gained a round`}{' '}
          (range {signed(first.low)} to {signed(first.high)}, {counted(first.balls, 'ball')}).{' '}
          <Link href={`/a/${slug}/plan/game?for=${player.id}`}>Make a game of it</Link>
        </p>
      )}
      <div className={styles.layout}>
        <OddsPanel strays={strays} who={who} units={units} balls={player?.balls ?? null} />
        <LinePanel
          strays={strays}
          who={who}
          units={units}
          green={green}
          greens={greens}
          station={asked.station}
          onGreen={(greenId) => go({ green: greenId, station: undefined })}
          onStation={(station) => go({ station })}
        />
        <div className={styles.more}>
          <FringePanel units={units} />
          <RungsPanel slug={slug} putterM={putterM} units={units} />
        </div>
      </div>
    </div>
  );
}
