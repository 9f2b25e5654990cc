import type { Details } from '@/core/game/scoring/ball';
import { FINISHES, LANDED_SIDES, TRAJECTORIES } from '@/core/golf/words';
import type { BagClub } from '@/core/play/questions';
import { SIDE_BEARING } from '@/core/play/verdict';
import { sayMarks } from '@/core/shot/say-shot';
import type { UnitSystem } from '@/core/units/length';
import { MARK_WORDS, QUICK_MARKS, unseen, type Row } from './details';
import styles from './play.module.scss';

type Props = {
  details: Details;
  system: UnitSystem;
  putt: boolean;
  clubs: readonly BagClub[];
  /** The player's own names for swing lengths. */
  swings: readonly string[];
  /** Whether the game asks where a ball finished. */
  finish: boolean;
  /** What is kept on the screen. */
  rows: readonly Row[];
  onDetails: (details: Details) => void;
  onMark: (counts: Details['counts']) => void;
};

/** What is marked on this ball so far, and what is one press away. */
export function Marked({ details, system, putt, clubs, swings, finish: wantsFinish, rows, onDetails, onMark }: Props) {
  const marks = sayMarks(unseen(details, rows), system);
  // What is taken back is not said at all: the station says it then.
  const set = (change: Details) =>
    onDetails(Object.fromEntries(Object.entries({ ...details, ...change }).filter(([, value]) => value !== null)));
  return (
    <>
      {marks && (
        <p className={styles.marked} role="status">
          {marks}
          <button type="button" onClick={() => onDetails({})}>
            clear
          </button>
        </p>
      )}
      {wantsFinish && (
        <Line
          label="Off the green"
          lead="off the green:"
          options={FINISHES.filter((finish) => finish !== 'green').map((finish) => [finish, finish] as const)}
          value={details.finish ?? null}
          onChange={(finish) => set({ finish })}
        />
      )}
      {rows.includes('marks') && (
        <div className={styles.marks} role="group" aria-label="Marks">
          {QUICK_MARKS.map((counts) => (
            <button key={counts} type="button" aria-pressed={details.counts === counts} onClick={() => onMark(counts)}>
              {MARK_WORDS[counts]}
            </button>
          ))}
        </div>
      )}
      {rows.includes('club') && !putt && clubs.length > 0 && (
        <Line
          label="Club"
          options={clubs.map(({ label }) => [label, label] as const)}
          value={details.clubLabel ?? null}
          onChange={(label) => set({ clubLabel: label, clubId: clubs.find((club) => club.label === label)?.clubId ?? null })}
        />
      )}
      {rows.includes('swing') && !putt && swings.length > 0 && (
        <Line
          label="Swing mark"
          options={swings.map((mark) => [mark, mark] as const)}
          value={details.swingMark ?? null}
          onChange={(swingMark) => set({ swingMark })}
        />
      )}
      {rows.includes('flight') && !putt && (
        <Line
          label="Flight"
          options={TRAJECTORIES.map((flight) => [flight, flight] as const)}
          value={details.trajectory ?? null}
          onChange={(trajectory) => set({ trajectory })}
        />
      )}
      {rows.includes('side') && (
        <Line
          label="Short or long"
          options={[
            [SIDE_BEARING.short, 'short'],
            [SIDE_BEARING.long, 'long'],
          ]}
          value={details.bearingDeg ?? null}
          onChange={(bearingDeg) => set({ bearingDeg })}
        />
      )}
      {rows.includes('landed') && !putt && (
        <Line
          label="Landed short or long"
          lead="landed:"
          options={LANDED_SIDES.map((side) => [side, side] as const)}
          value={details.landedSide ?? null}
          onChange={(landedSide) => set({ landedSide })}
        />
      )}
    </>
  );
}

type LineProps<T> = {
  label: string;
  /** What stands before the keys, where they don't say it themselves. */
  lead?: string;
  options: readonly (readonly [value: T, word: string])[];
  value: T | null;
  onChange: (value: T | null) => void;
};

/** A row of keys, of which one holds, or none. */
function Line<T extends string | number>({ label, lead, options, value, onChange }: LineProps<T>) {
  return (
    <div className={styles.marks} role="group" aria-label={label}>
      {lead && <span>{lead}</span>}
      {options.map(([one, word]) => (
        <button key={one} type="button" aria-pressed={one === value} onClick={() => onChange(one === value ? null : one)}>
          {word}
        </button>
      ))}
    </div>
  );
}
