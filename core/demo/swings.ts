import { LIBRARY } from '../game/library';
import { turnsOf } from '../game/turn';
import { seededRandom } from '../math/random';
import { recordOf } from '../play/record';
import { timeOrderedId } from '../shot/id';
import type { ShotEvent } from '../shot/shot';
import { METRES_PER, snap } from '../units/length';
import { recorded } from './event';

/** Who keeps a chart of swing lengths, with which marks, from low to high. */
export const DEMO_SWINGS_FOR = 'Ottilie';
export const DEMO_MARKS: readonly string[] = ['knee', 'hip', 'chest', 'shoulder'];
export const DEMO_SWING_GAME = LIBRARY.find(({ key }) => key === 'odd-numbers')!.spec;

/** How far the invented player carries each club to each mark, in yards; nobody tried the pitching wedge to the knee. */
const CARRIES: Readonly<Record<string, readonly (number | null)[]>> = {
  'pitching wedge': [null, 43, 66, 88],
  'gap wedge': [20, 37, 56, 76],
  'sand wedge': [16, 31, 48, 64],
  'lob wedge': [12, 25, 39, 52],
};
/** How single balls err, as a standard deviation of the logarithm; and that all come up a little short. */
const ERR = 0.08;
const SHORT = 0.97;
const SESSIONS = 5;
const DAY_MS = 86_400_000;

/** Where it stopped nobody looked. */
const NOWHERE = { holed: false, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, measured: 'pace' } as const;

/** Five sessions of odd yardages up to some days before `now`, each ball with its club, its mark and where it landed. */
export function demoSwings(seed: number, now: Date, playerId: string): { sessionId: string; startedAt: Date; events: ShotEvent[] }[] {
  const random = seededRandom(seed);
  const idAt = (ms: number) =>
    timeOrderedId(
      ms,
      Uint8Array.from({ length: 10 }, () => random.below(256)),
    );
  const swings = Object.entries(CARRIES).flatMap(([club, carries]) =>
    carries.flatMap((yards, i) => (yards === null ? [] : [{ club, mark: DEMO_MARKS[i]!, carryM: yards * METRES_PER.yd }])),
  );
  return Array.from({ length: SESSIONS }, (_, i) => {
    const day = Math.floor((now.getTime() - (3 + (SESSIONS - 1 - i) * 6) * DAY_MS) / DAY_MS) * DAY_MS;
    const startedAt = new Date(day + 16 * 3_600_000);
    const [sessionId, deviceId] = [idAt(startedAt.getTime()), idAt(startedAt.getTime())];
    const events = turnsOf(DEMO_SWING_GAME).map((turn, seq): ShotEvent => {
      const playedAt = new Date(startedAt.getTime() + (90 + seq * 50) * 1000);
      const wanted = turn.station.carryM!;
      // One of the two swings that come nearest.
      const near = swings.toSorted((one, other) => Math.abs(one.carryM - wanted) - Math.abs(other.carryM - wanted));
      const swing = near[random.uniform() < 0.7 ? 0 : 1]!;
      const landed = swing.carryM * SHORT * Math.exp(ERR * random.normal());
      const errorM = snap(landed - wanted);
      const result = { ...NOWHERE, landed: Math.abs(errorM) <= 3 * METRES_PER.yd, landingErrorM: errorM };
      const record = recordOf(turn, result, { playerId, sessionId }, playedAt);
      return recorded({ sessionId, deviceId, idAt }, seq, playedAt, {
        ...record,
        clubLabel: swing.club,
        swingMark: swing.mark,
        intendedM: snap(wanted),
      });
    });
    return { sessionId, startedAt, events };
  });
}
