import { counted } from '../units/format';
import { rotate, type InTheWay } from './rounds';

/** How players are put together: those who are weak at the same, those of a level, or each group mixed so that some can help the others. */
export const GROUPINGS = ['weakness', 'level', 'help'] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** A player of a squad: the level they were entered with, what all shots together lose in a round (null: not known), and the weakest kind. */
export type Squaddie = { playerId: string; name: string; level: number; lost: number | null; weakest: string | null };

/** How a squad's session is wished. */
export type SquadWish = {
  players: readonly Squaddie[];
  /** What each station is called, in the order of the walk, and how many balls one player hits there in a round. */
  stations: readonly { name: string; balls: number }[];
  inTheWay: InTheWay;
  /** How many groups; null: as many as there are stations, as far as there are players. */
  groups: number | null;
  by: Grouping;
  minutes: number;
  /** Of one round at a station, and of changing to the next; whole minutes. */
  roundMinutes: number;
  changeMinutes: number;
};

/** Who is where when: one bell for all. */
export type SquadSession = {
  groups: Squaddie[][];
  /** `rounds[i].at[group]`: a station's index; from which minute to which. */
  rounds: { from: number; to: number; at: number[]; /** With which group the coach is. */ coach: number }[];
  /** Balls at each station: for the largest group that comes. */
  balls: number[];
  conflicts: { a: number; b: number; rounds: number }[];
  /** What is not as wished, and why, a sentence each. */
  reasons: string[];
};

/** The most stations and players that are arranged. */
export const [MOST_STATIONS, MOST_PLAYERS] = [12, 40];

/**
 * A squad's session: groups within one of each other in size, everybody at every station once in as many rounds as there are stations, the
 * coach with each group in turn. Where time is short there are fewer rounds; where lines cross there are fewer groups, as long as none gets
 * larger than half as large again; and it says so.
 */
export function squadSession(wish: SquadWish): SquadSession {
  const { players, stations, minutes, roundMinutes, changeMinutes } = wish;
  const reasons: string[] = [];
  const wanted = Math.max(1, Math.min(wish.groups ?? stations.length, stations.length, players.length));
  if (wish.groups !== null && wish.groups > wanted)
    reasons.push(
      players.length < stations.length
        ? `There are only ${counted(players.length, 'player')} for ${wish.groups} groups.`
        : `${wish.groups} groups have no room at ${counted(stations.length, 'station')}: ${wanted} it is.`,
    );
  const { groups, rotation } = arranged(wish, wanted);
  if (groups < wanted) reasons.push(`With ${wanted} groups, lines of play cross. We found none that cross with ${groups}.`);
  if (rotation.conflicts.length > 0) {
    const pairs = rotation.conflicts.map(({ a, b }) => `${stations[a]!.name} with ${stations[b]!.name}`);
    reasons.push(`In each other’s line, and not to be kept apart here: ${pairs.join('; ')}. Take turns there, or move one.`);
  }
  const most = roundsIn(minutes, roundMinutes, changeMinutes);
  if (most < rotation.rounds.length)
    reasons.push(
      most === 0
        ? `${counted(minutes, 'minute')} are too short for a round of ${counted(roundMinutes, 'minute')}.`
        : `In ${minutes} minutes there is time for ${most} of ${rotation.rounds.length} rounds: everybody gets to ${most} of the ${stations.length} stations.`,
    );
  const people = grouped(players, groups, wish.by);
  const largest = Math.max(...people.map((group) => group.length));
  const rounds = rotation.rounds.slice(0, most).map((at, i) => {
    const from = i * (roundMinutes + changeMinutes);
    return { from, to: from + roundMinutes, at, coach: i % groups };
  });
  return {
    groups: people,
    rounds,
    balls: stations.map(({ balls }) => balls * largest),
    conflicts: rotation.conflicts,
    reasons,
  };
}

/** How many rounds fit: after the last there is no change. */
const roundsIn = (minutes: number, round: number, change: number) => Math.max(0, Math.floor((minutes + change) / (round + change)));

/** A group is at most this much larger than it would be, for lines that don't cross. */
const LARGER = 1.5;

function arranged({ players, stations, inTheWay }: SquadWish, wanted: number) {
  const size = Math.ceil(players.length / wanted);
  let first: ReturnType<typeof rotate> | null = null;
  for (let groups = wanted; groups >= 1; groups--) {
    if (Math.ceil(players.length / groups) > Math.max(size + 1, size * LARGER)) break;
    const rotation = rotate(stations.length, groups, 1, inTheWay);
    first ??= rotation;
    if (rotation.conflicts.length === 0) return { groups, rotation };
  }
  return { groups: wanted, rotation: first! };
}

/** Players in so many groups, whose sizes are within one of each other. */
export function grouped(players: readonly Squaddie[], groups: number, by: Grouping): Squaddie[][] {
  const strength = ({ lost, level }: Squaddie) => level + (lost ?? 0);
  const inOrder = players.toSorted(
    (a, b) =>
      (by === 'weakness' ? (a.weakest ?? '~').localeCompare(b.weakest ?? '~') : 0) ||
      strength(a) - strength(b) ||
      a.name.localeCompare(b.name),
  );
  const made = Array.from({ length: groups }, (): Squaddie[] => []);
  if (by === 'help') {
    // Dealt out, so that each group has some of the stronger and some of the weaker.
    inOrder.forEach((player, i) => made[i % groups]!.push(player));
    return made;
  }
  const [small, more] = [Math.floor(players.length / groups), players.length % groups];
  let from = 0;
  made.forEach((group, i) => {
    const size = small + (i < more ? 1 : 0);
    group.push(...inOrder.slice(from, from + size));
    from += size;
  });
  return made;
}
