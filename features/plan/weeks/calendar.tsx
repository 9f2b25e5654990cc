'use client';

import { DndContext, MouseSensor, TouchSensor, useDraggable, useDroppable, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core';
import type { KeyboardEvent } from 'react';
import { daysFrom, mondayOf, plusDays, sayPlainDay, weekdayOf } from '@/core/units/plain-day';
import { lastDay } from '@/core/weeks/blocks';
import { SAY_AIM } from '@/core/weeks/say-aim';
import type { PlannedDay, Weeks } from '@/core/weeks/weeks';
import { WEEKDAYS } from './say';
import styles from './weeks.module.scss';

/** How a day went: minutes of it; null where it is over and was not done. */
export type DayDone = { minutes: number; going: boolean };

type Props = {
  weeks: Weeks;
  today: string;
  /** Of those that were begun, by the ids of their hours. */
  done: ReadonlyMap<string, DayDone>;
  chosen: string | null;
  onChoose: (hourId: string) => void;
  /** One is put on another date. */
  onMove: (hourId: string, day: string) => void;
  /** One more, on a date. */
  onAdd: (day: string) => void;
};

/** How far an arrow key moves a day. */
const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };
/** A finger that only wants to scroll lifts sooner than this, in milliseconds. */
const HOLD_MS = 200;
const [NEAR, FAR] = [6, 8];

/** Planned weeks as a calendar, a row each from Monday on; days are dragged from date to date, or moved with the arrow keys. */
export function Calendar({ weeks, today, done, chosen, onChoose, onMove, onAdd }: Props) {
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: NEAR } }),
    useSensor(TouchSensor, { activationConstraint: { delay: HOLD_MS, tolerance: FAR } }),
  );
  const days = weeks.days.map(({ day }) => day);
  const last = [lastDay(weeks), weeks.event?.day ?? '', ...days].toSorted().at(-1)!;
  const first = mondayOf([weeks.from, ...days].toSorted()[0]!);
  const rows = Math.max(1, Math.floor(daysFrom(first, last) / 7) + 1);
  const drop = ({ active, over }: DragEndEvent) => over && onMove(String(active.id), String(over.id));
  const move = (one: PlannedDay) => (event: KeyboardEvent) => {
    const days = KEYS[event.key];
    if (days === undefined || done.has(one.hourId)) return;
    event.preventDefault();
    onMove(one.hourId, plusDays(one.day, days));
  };
  return (
    <DndContext sensors={sensors} onDragEnd={drop} id="weeks">
      <div className={styles.calendar} role="group" aria-label="Calendar">
        <div className={styles.names} aria-hidden="true">
          {WEEKDAYS.map(([short]) => (
            <span key={short}>{short}</span>
          ))}
        </div>
        {Array.from({ length: rows }, (_, week) => (
          <div key={week} className={styles.week}>
            {WEEKDAYS.map((_day, weekday) => {
              const day = plusDays(first, 7 * week + weekday);
              return (
                <Cell key={day} day={day} today={today} event={weeks.event?.day === day ? weeks.event.name : null} onAdd={onAdd}>
                  {weeks.days
                    .filter((one) => one.day === day)
                    .map((one) => (
                      <Day
                        key={one.hourId}
                        one={one}
                        past={one.day < today}
                        done={done.get(one.hourId)}
                        chosen={one.hourId === chosen}
                        onChoose={onChoose}
                        onKey={move(one)}
                      />
                    ))}
                </Cell>
              );
            })}
          </div>
        ))}
      </div>
    </DndContext>
  );
}

type CellProps = { day: string; today: string; event: string | null; onAdd: (day: string) => void; children: React.ReactNode[] };

/** A date, with what is planned on it. */
function Cell({ day, today, event, onAdd, children }: CellProps) {
  const { setNodeRef, isOver } = useDroppable({ id: day, disabled: day < today });
  const empty = children.length === 0 && event === null;
  const names = [styles.cell, day === today && styles.today, isOver && styles.over, empty && styles.empty];
  return (
    <div ref={setNodeRef} className={names.filter(Boolean).join(' ')} data-day={day}>
      <span className={styles.date}>
        <span className={styles.weekdayName}>{WEEKDAYS[weekdayOf(day) - 1]![0]} </span>
        {sayPlainDay(day).replace(/^\w+ /, '')}
      </span>
      {event !== null && <b className={styles.event}>{event}</b>}
      {children}
      {empty && day >= today && (
        <button type="button" className={styles.add} aria-label={`Add ${sayPlainDay(day)}`} onClick={() => onAdd(day)}>
          +
        </button>
      )}
    </div>
  );
}

type DayProps = {
  one: PlannedDay;
  past: boolean;
  done: DayDone | undefined;
  chosen: boolean;
  onChoose: (hourId: string) => void;
  onKey: (event: KeyboardEvent) => void;
};

/** What is planned on a date, and how it went. */
function Day({ one, past, done, chosen, onChoose, onKey }: DayProps) {
  const { hourId, day, at, minutes, aim } = one;
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({ id: hourId, disabled: done !== undefined });
  const state = done ? (done.going ? 'under way' : `done, ${done.minutes} min`) : past ? 'not done' : '';
  const names = [styles.day, styles[aim], done && styles.done, past && !done && styles.missed, isDragging && styles.dragged];
  return (
    <button
      ref={setNodeRef}
      type="button"
      {...listeners}
      className={names.filter(Boolean).join(' ')}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      aria-pressed={chosen}
      aria-label={[`${SAY_AIM[aim]}, ${sayPlainDay(day)}`, at, `${minutes} min`, state].filter(Boolean).join(', ')}
      onClick={() => onChoose(hourId)}
      onKeyDown={onKey}
    >
      <b>{SAY_AIM[aim]}</b>
      <span className={styles.when}>{[at, `${minutes} min`].filter(Boolean).join(' · ')}</span>
      {state && <span className={styles.state}>{state}</span>}
    </button>
  );
}
