import { lotKey } from '../game/order';
import type { GamePhase } from '../game/phases';
import { worked, type Seat } from './seat';
import { turnOf, type Turn } from '../game/turn';

/** A ball that is hit again until it works is hit so often at most; then the game goes on. */
export const MOST_ATTEMPTS = 5;

/** The balls of a phase that are still to be played, in order. */
export function openTurns(seat: Seat, p: number): Turn[] {
  const phase = seat.phases[p];
  const part = seat.states[p];
  if (!phase || !part) return [];
  const again = (at: number) => part.played.filter(({ lot }) => lot.at === at).length + 1;
  if (seat.game.open) {
    const turnNo = nextTurnNo(seat, phase);
    const same = part.scheme.round ? seat.others.get(turnNo) : undefined;
    const { balls } = seat.game.calls;
    const here = part.played.at(-1)?.lot.at ?? 0;
    // The balls that are planned there are played: another station is called.
    if (same === undefined && balls !== null && again(here) > balls) return [];
    const at = same === undefined ? here : phase.stations.findIndex((station) => station.key === same);
    return phase.stations.length === 0 ? [] : [turnOf(phase, { at, ballNo: again(at), asked: {} }, turnNo)];
  }
  if (phase.lots === null) {
    const at = part.scheme.route!(part.state, phase);
    return at >= phase.stations.length ? [] : [turnOf(phase, { at, ballNo: again(at), asked: {} }, nextTurnNo(seat, phase))];
  }
  const taken = new Set(part.played.map(({ lot }) => lotKey(lot)));
  const chosen = phase.order === 'choice' ? nextTurnNo(seat, phase) : null;
  return phase.lots.flatMap((lot, n) => (taken.has(lotKey(lot)) ? [] : [turnOf(phase, lot, chosen ?? phase.firstTurn + n)]));
}

/** The number of the next ball where the game does not number them beforehand. */
export function nextTurnNo(seat: Seat, phase: GamePhase): number {
  const used = [...seat.balls[phase.index]!.map(({ shot }) => shot), ...seat.doubled, ...seat.late];
  return used.reduce((most, shot) => Math.max(most, shot.turnNo), phase.firstTurn - 1) + 1;
}

/** One ball of each station (of each kind, where balls differ) that is left to choose from. */
export function choices(options: readonly Turn[]): Turn[] {
  const found = new Map<string, Turn>();
  for (const turn of options) {
    const kind = `${turn.station.key}|${JSON.stringify(turn.asked)}`;
    if (!found.has(kind)) found.set(kind, turn);
  }
  return [...found.values()];
}

/** The last ball again, in a game in which a ball is hit until it works; null where it has, or was tried enough. */
export function retry(seat: Seat): Turn | null {
  const p = seat.states.findLastIndex((part) => part.played.length > 0);
  const [part, phase] = [seat.states[p], seat.phases[p]];
  const last = part?.played.at(-1);
  if (!part || !phase || !last || phase.rules.attempts !== 'until_works' || seat.early) return null;
  const again = seat.extras.filter((ball) => ball.counts === 'rehit' && ball.turnNo === last.shot.turnNo);
  if ([last.shot, ...again].some((ball) => worked(phase, part.scheme, ball, last.lot)) || again.length >= MOST_ATTEMPTS - 1) return null;
  return { ...turnOf(phase, last.lot, last.shot.turnNo), attempt: again.length + 2 };
}
