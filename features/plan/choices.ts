import type { requireCoach } from '@/server/actor';

type Desk = Awaited<ReturnType<typeof requireCoach>>;

/** What every plan chooses from: players (`rows` with all that is known of them), greens, and the coach's own schools. */
export async function planChoices({ data }: Desk, slug: string) {
  const [rows, greens, schools] = await Promise.all([data.listPlayers(), data.listGreens(), data.listSchools()]);
  return {
    rows,
    shared: {
      slug,
      players: rows.map(({ player }) => ({ id: player.playerId, name: player.name })),
      greens: greens.map(({ greenId, plan }) => ({ id: greenId, name: plan.title })),
      schools,
    },
  };
}

/** Who was here last: for them a plan is made where nobody says for whom. */
export function lastHere(rows: Awaited<ReturnType<typeof planChoices>>['rows']) {
  return rows.toSorted((a, b) => (b.lastAt?.getTime() ?? 0) - (a.lastAt?.getTime() ?? 0))[0];
}
