import { seededRandom } from '../math/random';
import { ranksOf } from '../skill/ranks';
import type { Diagnosis } from '../skill/diagnose';

/** Where strokes go, of one player or of several. */
export type Judged = Pick<Diagnosis, 'findings' | 'lost'>;

/**
 * Several players as one: what they lose on average, draw by draw, and how often a shot comes up for them.
 * @param players at least one, judged over the same cells
 */
export function judgedTogether(players: readonly Judged[]): Judged {
  const [first] = players;
  if (players.length === 1) return first!;
  const draws = first!.lost[0]!.length;
  const lost = first!.lost.map((values, cell) =>
    Float64Array.from(values, (_, draw) => {
      let sum = 0;
      // Of two players of a level the draws are the same: taken from other places, they know nothing of each other.
      players.forEach((player, p) => (sum += player.lost[cell]![(draw + p * APART) % draws]!));
      return sum / players.length;
    }),
  );
  const findings = first!.findings.map((finding, cell) => {
    const all = players.map((player) => player.findings[cell]!);
    const of = (value: (one: (typeof all)[number]) => number) => all.reduce((sum, one) => sum + value(one), 0) / all.length;
    return {
      ...finding,
      balls: all.reduce((sum, one) => sum + one.balls, 0),
      ranked: all.some(({ ranked }) => ranked),
      uses: of(({ uses }) => uses),
      expectedStrokes: of(({ expectedStrokes }) => expectedStrokes),
      perBall: of(({ perBall }) => perBall),
    };
  });
  return ranked(findings, lost);
}

/** A prime, so that even many players begin at draws of their own. */
const APART = 37;

/** So many draws stand for what is believed where another answer is wanted. */
const SOME = 24;

/**
 * The same by a few draws of what is believed, another few for each seed: what is sure stays as it is, what is open comes out one way or the
 * other. The first seed is all of them.
 */
export function asIfDrawn({ findings, lost }: Judged, seed: number): Judged {
  const draws = lost[0]?.length ?? 0;
  if (seed <= 1 || draws <= SOME) return { findings, lost };
  const random = seededRandom(seed);
  const some = Array.from({ length: SOME }, () => Math.min(draws - 1, Math.floor(random.uniform() * draws)));
  return ranked(
    [...findings],
    lost.map((values) => Float64Array.from(some, (draw) => values[draw]!)),
  );
}

function ranked(findings: Judged['findings'], lost: Judged['lost']): Judged {
  const perRound = ranksOf(
    lost,
    findings.map(({ uses }) => uses),
    findings.map((finding) => finding.ranked),
  );
  return { findings: findings.map((finding, i) => ({ ...finding, perRound: perRound[i]! })), lost };
}
