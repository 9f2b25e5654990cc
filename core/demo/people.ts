import type { PlayerForm } from '../people/player';
import { cellKey } from '../skill/cells';
import { METRES_PER } from '../units/length';

/**
 * The invented academy that a fresh start shows: Lantern Hollow, a floodlit nine-hole par-3 course, and a Tuesday
 * squad of eight, nine weeks before its league. Everybody has one skill that is clearly worse than their level.
 */
export const DEMO_ACADEMY = { name: 'Lantern Hollow', slug: 'lantern-hollow', timeZone: 'Europe/Dublin' } as const;
export const DEMO_COACH = { name: 'Coach Ines', email: 'ines@lantern-hollow.example', password: 'seven-paces-out' } as const;

/** Helps at the green in the evening, with the players of that group. */
export const DEMO_ASSISTANT = { name: 'Perrin', email: 'perrin@lantern-hollow.example', password: 'seven-paces-out' } as const;
/** The youngest, whose father reads along and has agreed. */
export const DEMO_FAMILY = {
  player: 'Zélie',
  bornYears: 15,
  guardian: { name: 'Anselm Varga', email: 'anselm@lantern-hollow.example', phone: '020 555 0142', password: 'seven-paces-out' },
} as const;

/** Who is coached together; the assistant looks after the second. */
export const DEMO_GROUPS = [
  { name: 'Early birds', players: ['Maren', 'Ottilie', 'Zélie'], assisted: false },
  { name: 'After work', players: ['Bashir', 'Ruaridh', 'Teodor'], assisted: true },
] as const;

export type DemoPlayer = {
  form: Omit<PlayerForm, 'clubs'> & { clubs: readonly (readonly [label: string, loftDeg: number])[] };
  /** Worse than the level in these cells; the first is the planted weakness. Log distance; + is worse. */
  effects: Record<string, number>;
  /** Factors on the level's spread in direction and in length of a putt. */
  putting: { angle: number; distance: number };
  /** Index of the game that holds the weakness: it is played a little more often. */
  favourite: number;
  /** Hour of the day at which the player usually practises, local time. */
  hour: number;
};

const yd = METRES_PER.yd;
const BAG = [
  ['putter', 3],
  ['7-iron', 34],
  ['9-iron', 42],
  ['pitching wedge', 46],
  ['gap wedge', 51],
  ['sand wedge', 56],
] as const;
const BAG_WITH_LOB = [...BAG, ['lob wedge', 60]] as const;

function demoPlayer(
  name: string,
  level: number,
  weakness: [string, number],
  rest: Partial<Omit<DemoPlayer, 'form' | 'effects'>> & { form?: Partial<DemoPlayer['form']>; better?: Record<string, number> },
): DemoPlayer {
  return {
    form: {
      name,
      level,
      handed: 'right',
      units: 'imperial',
      paceM: 0.762,
      clubM: 0.889,
      putterM: 0.8636,
      shoeM: null,
      clubs: BAG,
      ...rest.form,
    },
    effects: { [weakness[0]]: weakness[1], ...rest.better },
    putting: rest.putting ?? { angle: 1, distance: 1 },
    favourite: rest.favourite ?? 0,
    hour: rest.hour ?? 18,
  };
}

const at = (type: Parameters<typeof cellKey>[0], surface: Parameters<typeof cellKey>[1], yards: number) =>
  cellKey(type, surface, yards * yd);

export const DEMO_PLAYERS: readonly DemoPlayer[] = [
  demoPlayer('Ottilie', 10, [at('pitch', 'light_rough', 22), 0.75], {
    favourite: 4,
    hour: 17,
    better: { [at('chip', 'fringe', 8)]: -0.15 },
    form: { paceM: 0.7112, clubM: 0.8636, putterM: 0.8128, clubs: BAG_WITH_LOB },
  }),
  demoPlayer('Teodor', 14, [at('pitch', 'light_rough', 13), 0.75], { favourite: 4, hour: 17, putting: { angle: 0.9, distance: 1 } }),
  demoPlayer('Maren', 18, [at('bunker', 'sand', 12), 0.75], { favourite: 2, hour: 7, form: { units: 'metric' } }),
  demoPlayer('Ruaridh', 12, [at('chip', 'fairway', 11), 0.75], { favourite: 5, hour: 20, better: { [at('pitch', 'fairway', 35)]: -0.12 } }),
  demoPlayer('Zélie', 20, [at('bump_and_run', 'fairway', 16), 0.75], { favourite: 5, hour: 6, form: { units: 'metric' } }),
  demoPlayer('Bashir', 16, [at('chip', 'heavy_rough', 16), 0.75], { favourite: 4, hour: 21, putting: { angle: 1, distance: 1.15 } }),
  demoPlayer('Inga', 8, [at('pitch', 'heavy_rough', 24), 0.75], {
    favourite: 4,
    hour: 18,
    form: { handed: 'left', clubs: BAG_WITH_LOB },
    better: { [at('chip', 'light_rough', 14)]: -0.15 },
  }),
  demoPlayer('Kofi', 2, [at('pitch', 'fairway', 35), 0.75], {
    favourite: 6,
    hour: 12,
    putting: { angle: 0.92, distance: 0.92 },
    form: { clubs: BAG_WITH_LOB },
  }),
];
