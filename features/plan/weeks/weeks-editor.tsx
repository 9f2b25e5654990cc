'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState, type ReactNode } from 'react';
import type { BlockTest } from '@/core/plan/block-test';
import { listed } from '@/core/units/format';
import { sayPlainDay } from '@/core/units/plain-day';
import { blockAt, minusDay, plusDay, relaid, withBlock, withDay } from '@/core/weeks/change';
import { blocksOf } from '@/core/weeks/blocks';
import { minutesOfTest, practiceDaysIn } from '@/core/weeks/lay-days';
import { weeksSchema, type Weeks } from '@/core/weeks/weeks';
import { FormAlert } from '../../form/form-alert';
import { newId } from '../../form/ids';
import { plain } from '../../form/plain';
import { RefreshWhile } from '../../form/refresh-while';
import { faults, type Refused } from '../../form/result';
import { useLeaveWarning } from '../../form/use-leave-warning';
import { useReady } from '../../form/use-ready';
import { NOT_SENT } from '../../form/use-save';
import type { OwnSchool } from '../hour/school-panel';
import { SchoolPanel } from '../hour/school-panel';
import type { Named } from '../who-choice';
import { archiveWeeksAction, blockTestAction, saveWeeksAction } from './actions';
import { BlockPanel, type ShotChoice } from './block-panel';
import { Calendar, type DayDone } from './calendar';
import { DayPanel } from './day-panel';
import { weeksFor } from './say';
import { PutAway } from '../put-away';
import { useSteps } from '../use-steps';
import { WeeksBar } from './weeks-bar';
import { PlanHead } from '../plan-head';
import styles from './weeks.module.scss';

type Props = {
  slug: string;
  weeksId: string;
  initial: Weeks;
  who: readonly string[];
  /** When what is changed here had been saved; null for weeks that are new. */
  savedAt: Date | null;
  today: string;
  players: readonly Named[];
  greens: readonly Named[];
  schools: readonly OwnSchool[];
  /** Shots that can be worked on. */
  shots: readonly ShotChoice[];
  /** Of the days that were begun how they went, and the hours that are there, by their ids. */
  done: readonly (readonly [string, DayDone])[];
  made: readonly string[];
  /** Whether hours are being made. */
  pending: boolean;
  /** What is said of the blocks that are over. */
  children?: ReactNode;
};

/** Plans some weeks: for whom, from when to when, the days on a calendar, and what they are about. */
export function WeeksEditor(props: Props) {
  const { slug, weeksId, initial, who: before, savedAt: openedAt, today, players, greens, schools, shots, made, pending, children } = props;
  const done = new Map(props.done);
  const router = useRouter();
  const ready = useReady();
  const steps = useSteps(initial);
  const { now: weeks, set: setWeeks } = steps;
  const [who, setWho] = useState(before);
  const [savedAt, setSavedAt] = useState(openedAt);
  const [dirty, setDirty] = useState(openedAt === null);
  const [busy, setBusy] = useState(false);
  const [saving, setSaving] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  /** How often it was asked: only the last answer counts. */
  const asks = useRef(0);
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  useLeaveWarning(dirty && steps.back !== null);

  const change = (next: Weeks) => {
    steps.change(next);
    setDirty(true);
  };
  const lay = (next: Weeks) => relaid(next, today, newId, new Set(done.keys()));
  /** The block that goes on or comes next. */
  const nowAt = weeks.blocks.findIndex(({ until }) => until >= today);

  /** Asks what a block should work on, and lays its days anew. */
  const ask = async (of: Weeks, people: readonly string[], at: number, wanted: readonly string[]) => {
    const frame = blocksOf(of)[at];
    if (!frame) return;
    const mine = (asks.current += 1);
    setBusy(true);
    const asked = { minutes: minutesOfTest(of.rhythm), days: practiceDaysIn(of, frame), greenId: of.greenId, shots: [...wanted] };
    const answer = await blockTestAction(slug, [...people], plain(asked)).catch(() => null);
    // Something else was asked meanwhile.
    if (mine !== asks.current) return;
    setBusy(false);
    const refused = answer?.ok ? undefined : ((answer && Object.values(answer.fields)[0]) ?? NOT_SENT);
    // What is wrong beside a field stays there.
    setWrong(({ '': _, ...fields }) => (refused === undefined ? fields : { ...fields, '': refused }));
    if (!answer?.ok) return;
    setWeeks((now) => {
      const next = withBlock(now, at, testOf(answer.test));
      // Days that were put elsewhere by hand stay there, unless the test takes other days.
      return now.blocks[at]?.testDays === answer.test.testDays || frameFaults(next).length > 0 ? next : lay(next);
    });
    setDirty(true);
  };

  const onFrame = (frame: Partial<Weeks>) => {
    const next = { ...weeks, ...frame };
    const read = weeksSchema.safeParse(next);
    setWrong(read.success ? {} : faults(read.error).fields);
    // While it makes no sense it stands there as it was typed, and the days stay.
    const laid = frameFaults(next).length > 0 ? next : lay(next);
    change(laid);
    if (laid === next) return;
    // More or fewer days, or longer ones, make another test of the same shots.
    const at = laid.blocks.findIndex(({ until }) => until >= today);
    const before = weeks.blocks[at];
    const same =
      before &&
      minutesOfTest(weeks.rhythm) === minutesOfTest(laid.rhythm) &&
      practiceDaysIn(weeks, before) === practiceDaysIn(laid, laid.blocks[at]!);
    if (at >= 0 && !same) void ask(laid, who, at, laid.blocks[at]!.shots);
  };
  const move = (hourId: string, day: string) => {
    const one = weeks.days.find((planned) => planned.hourId === hourId);
    if (!one || one.day === day || day < today || done.has(hourId)) return;
    change(withDay(weeks, hourId, { day }));
    setChosen(hourId);
  };

  const save = async () => {
    const read = weeksSchema.safeParse(weeks);
    if (!read.success) return setWrong(faults(read.error).fields);
    setSaving(true);
    const answer = await saveWeeksAction(slug, weeksId, plain(read.data), [...who], savedAt).catch(() => null);
    setSaving(false);
    if (!answer) return setWrong({ '': NOT_SENT });
    if (!answer.ok) return setWrong((answer as Refused).fields);
    setWrong({});
    setSavedAt(answer.savedAt);
    setDirty(false);
    if (openedAt === null) router.replace(`/a/${slug}/plan/weeks/${weeksId}`);
    else router.refresh();
  };

  const one = weeks.days.find(({ hourId }) => hourId === chosen);
  const namesOf = (ids: readonly string[]) => ids.flatMap((id) => players.find((player) => player.id === id)?.name ?? []);
  const names = namesOf(who);
  const shown = ['title', 'until', 'event.day', 'event.name', 'rhythm'];
  const general = Object.entries(wrong).find(([path]) => !shown.includes(path))?.[1];
  return (
    <div className={styles.page}>
      <RefreshWhile pending={pending && !dirty} />
      <PlanHead
        title={weeks.title}
        wrong={wrong.title}
        onTitle={(title) => change({ ...weeks, title })}
        onUndo={steps.back && undo}
        dirty={dirty}
        canSave={ready && !saving && !busy}
        onSave={() => void save()}
      >
        <a href={`/a/${slug}/plan/weeks/${weeksId}/calendar`} className="btn btn-outline-dark" download>
          Calendar file
        </a>
        {savedAt !== null && (
          <a href={`/a/${slug}/plan/weeks/${weeksId}/file`} className="btn btn-outline-dark" download>
            Plan file
          </a>
        )}
      </PlanHead>
      <p className={styles.printed}>
        For {listed(names)}, {sayPlainDay(weeks.from)} to {sayPlainDay(weeks.until)}
      </p>
      <FormAlert message={general} />
      {children}
      <WeeksBar
        {...{ weeks, who, players, greens, wrong, onFrame }}
        onPeople={(people) => {
          setWho(people);
          // A title that nobody typed follows.
          const next = weeks.title === weeksFor(names) ? { ...weeks, title: weeksFor(namesOf(people)) } : weeks;
          change(next);
          void ask(next, people, nowAt, []);
        }}
        onGreen={(greenId) => {
          const next = { ...weeks, greenId };
          change(next);
          void ask(next, who, nowAt, []);
        }}
      />
      <div className={styles.columns}>
        <div>
          <Calendar
            {...{ weeks, today, done, chosen }}
            onChoose={(hourId) => setChosen(hourId === chosen ? null : hourId)}
            onMove={move}
            onAdd={add}
          />
          <p className="small-print no-print mt-1">Drag a day to another date, or choose it and use the arrow keys.</p>
        </div>
        <aside className={styles.side}>
          {one && (
            <DayPanel
              {...{ slug, one }}
              done={done.get(one.hourId)}
              made={made.includes(one.hourId) && !dirty}
              soon={blockAt(weeks, one.day) === nowAt}
              onChange={(next) => (next.day !== undefined ? move(one.hourId, next.day) : change(withDay(weeks, one.hourId, next)))}
              onRemove={() => {
                change(minusDay(weeks, one.hourId));
                setChosen(null);
              }}
              onClose={() => setChosen(null)}
            />
          )}
          {weeks.blocks.map((block, at) => (
            <BlockPanel
              key={block.from}
              {...{ block, shots, busy }}
              number={at + 1}
              players={who.length}
              state={block.until < today ? 'over' : at === nowAt ? 'now' : 'waits'}
              onShots={(wanted) => void ask(weeks, who, at, wanted)}
            />
          ))}
        </aside>
      </div>
      <SchoolPanel slug={slug} school={weeks.school} own={schools} onChange={(school) => change({ ...weeks, school })} />
      {openedAt !== null && (
        <p className="no-print mt-4 mb-0">
          <PutAway slug={slug} words="Put these weeks away" putAway={() => archiveWeeksAction(slug, weeksId, true)} />{' '}
          <Link href={`/a/${slug}/plan`}>All plans</Link>
        </p>
      )}
    </div>
  );

  function undo() {
    steps.back?.();
    setWrong({});
    setDirty(true);
  }
  function add(day: string) {
    const { at = null, minutes = 50 } = weeks.rhythm[0] ?? {};
    const hourId = newId();
    change(plusDay(weeks, { hourId, day, at, minutes, aim: blockAt(weeks, day) < 0 ? 'neglected' : 'practise' }));
    setChosen(hourId);
  }
}

/** What is wrong with what the days follow from, by its paths. */
function frameFaults(weeks: Weeks): string[] {
  const read = weeksSchema.safeParse(weeks);
  return read.success ? [] : Object.keys(faults(read.error).fields).filter((path) => /^(from|until|event\.day|rhythm)/.test(path));
}

/** A block's test as the document keeps it: its game under an id. */
function testOf({ shots, tests, testDays, game }: BlockTest) {
  return { shots, tests, testDays, game: game && { gameId: newId(), spec: game } };
}
