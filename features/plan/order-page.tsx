import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { Suspense } from 'react';
import { roundly } from '@/core/board/next';
import { CARE_IN_SHORT } from '@/core/game/words/care';
import { NO_WARNING } from '@/core/green/parties';
import type { GreenPlan } from '@/core/green/plan';
import type { ProposalTask } from '@/core/plan/proposal-task';
import { proposedFor } from '@/core/plan/propose';
import { counted, listed } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { proposalOf, roundByNeed } from '@/server/known/proposals';
import { asOrderQuery, type OrderAsked } from './asked';
import { OrderBar } from './order-bar';
import styles from './plan.module.scss';
import { PlayProposal } from './play-proposal';
import { ProposalCard } from './proposal-card';

type Props = {
  slug: string;
  asked: OrderAsked;
  /** Who can be chosen, and who is. */
  players: readonly { id: string; name: string }[];
  chosen: readonly { playerId: string; name: string }[];
  greens: readonly { id: string; name: string }[];
  green: { greenId: string; plan: GreenPlan } | null;
  units: UnitSystem;
  /** What is known of those who are chosen; it comes while the page is there. */
  task: Promise<Omit<ProposalTask, 'which'>> | null;
};

/** Of more names than these the players are counted. */
const NAMED = 3;

/** A game made to order: three proposals that differ in kind, each as soon as it is worked out. */
export function OrderPage({ slug, asked, players, chosen, greens, green, units, task }: Props) {
  const base = `/a/${slug}`;
  const names = chosen.length > NAMED ? counted(chosen.length, 'player') : listed(chosen.map(({ name }) => name));
  return (
    <div className="p-3 p-md-4">
      <h1 className={styles.head}>A game for {names || 'whom?'}</h1>
      <OrderBar asked={asked} players={players} greens={greens} />
      {task && asked.what === 'compete' && chosen.length < 2 ? (
        <p className="empty mt-3">Competing takes two: add another player.</p>
      ) : task && green && green.plan.stations.length === 0 ? (
        <p className="empty mt-3">
          {green.plan.title} has no stations yet. <Link href={`${base}/greens/${green.greenId}`}>Add some</Link>, or choose any green.
        </p>
      ) : (
        task && (
          <div className={styles.cards}>
            {Array.from({ length: proposedFor(asked.what) }, (_, which) => (
              <Suspense key={asOrderQuery(asked) + which} fallback={<Coming />}>
                <Proposed
                  {...{ slug, task, which, green, units }}
                  players={chosen}
                  designer={`${base}/plan/game/design${asOrderQuery(asked, {}, { proposal: String(which) })}`}
                />
              </Suspense>
            ))}
          </div>
        )
      )}
      {task && chosen.length === 1 && BY_NEED.includes(asked.what) && (
        <Suspense key={asOrderQuery(asked)} fallback={null}>
          <ByNeed {...{ slug, task, green }} playerId={chosen[0]!.playerId} />
        </Suspense>
      )}
      {chosen.length > 1 && (
        <p className="small-print mt-3 mb-0">
          {CARE_IN_SHORT} {green && NO_WARNING}
        </p>
      )}
    </div>
  );
}

/** What practice by need is for. */
const BY_NEED: readonly string[] = ['find_out', 'take_strokes_off'];

/** A round in which the program says what to hit next. */
async function ByNeed({
  slug,
  task,
  green,
  playerId,
}: Pick<Props, 'slug' | 'green'> & { task: NonNullable<Props['task']>; playerId: string }) {
  const round = await roundByNeed(await task);
  if (!round) return null;
  return (
    <section className={styles.need} aria-label="Practise by need">
      <div>
        <h2 className={styles.title}>Practise by need</h2>
        <p className="mb-0">
          No fixed game: after every five balls you are told what to hit next.{' '}
          {round.more === null
            ? 'The weakest shots are too close to separate, even with 300 more balls.'
            : round.more === 0
              ? 'The three weakest shots are already clear.'
              : `About ${roundly(round.more)} more balls until the three weakest shots are clear.`}
        </p>
      </div>
      <PlayProposal
        slug={slug}
        gameId={randomUUID()}
        game={round.game}
        greenId={green?.greenId ?? null}
        playerIds={[playerId]}
        allowances={{}}
        first={false}
      />
    </section>
  );
}

function Coming() {
  return (
    <div className={`${styles.card} ${styles.coming}`} aria-busy="true">
      <span className="small-print">playing it through …</span>
    </div>
  );
}

type ProposedProps = Pick<Props, 'slug' | 'green' | 'units'> & {
  task: NonNullable<Props['task']>;
  which: number;
  players: Props['chosen'];
  designer: string;
};

async function Proposed({ slug, task, which, players, green, units, designer }: ProposedProps) {
  const proposal = await proposalOf(await task, which);
  if (!proposal)
    return (
      <div className={`${styles.card} ${styles.coming}`}>
        <span className="small-print">{green?.plan.title ?? 'Here'} has no places for a game of another kind.</span>
      </div>
    );
  return <ProposalCard {...{ slug, proposal, players, green, units, designer }} gameId={randomUUID()} first={which === 0} />;
}
