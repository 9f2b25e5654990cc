'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { secondsFor } from '@/core/game/budget';
import { CARE_IN_SHORT } from '@/core/game/words/care';
import { bySchool, inMinutes, withPart, withTest } from '@/core/hour/change';
import { hourSchema, LONGEST, SHORTEST, type Hour, type Part, type PartKind } from '@/core/hour/hour';
import { withBoundary, withMinutes, without } from '@/core/hour/minutes';
import { filledWith, type Candidate } from '@/core/plan/filled';
import { bringToAll } from '@/core/sheet/sheet';
import { listed } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { faults, type Refused } from '../../form/result';
import { FormAlert } from '../../form/form-alert';
import { newId } from '../../form/ids';
import { plain } from '../../form/plain';
import { useLeaveWarning } from '../../form/use-leave-warning';
import { landingQueryOf } from '@/core/tools/landing-address';
import { NOT_SENT } from '../../form/use-save';
import { useReady } from '../../form/use-ready';
import { hourAddress } from '@/core/exchange/play-address';
import { archiveHourAction, fillAction, saveHourAction } from './actions';
import { HourBar } from './hour-bar';
import { PlanHead } from '../plan-head';
import { PutAway } from '../put-away';
import { useSteps } from '../use-steps';
import styles from './hour.module.scss';
import { MinutesTape } from './minutes-tape';
import { PartCard } from './part-card';
import { SchoolPanel, type OwnSchool } from './school-panel';

type Named = { id: string; name: string };
type Props = {
  slug: string;
  hourId: string;
  initial: Hour;
  /** For whom it is, by their ids. */
  who: readonly string[];
  /** When what is changed here had been saved; null for an hour that is new. */
  savedAt: Date | null;
  players: readonly Named[];
  greens: readonly Named[];
  /** Games that a coach may choose; a ready one has no id. */
  games: readonly Candidate[];
  schools: readonly OwnSchool[];
  units: UnitSystem;
  /** Planned weeks that it belongs to, which say on which day it is; null: none. */
  weeksId: string | null;
};

/** Plans an hour: who and how long, its parts on a tape, and in each what is done and why. */
export function HourEditor(props: Props) {
  const { slug, hourId, initial, who: before, savedAt: openedAt, players, greens, games, schools, units, weeksId } = props;
  const router = useRouter();
  const ready = useReady();
  const steps = useSteps(initial);
  const { now: hour, set: setHour } = steps;
  const [who, setWho] = useState(before);
  const [savedAt, setSavedAt] = useState(openedAt);
  const [dirty, setDirty] = useState(openedAt === null);
  const [busy, setBusy] = useState<readonly string[]>([]);
  const [wrong, setWrong] = useState<Readonly<Record<string, string>>>({});
  const [saving, setSaving] = useState(false);
  const seeds = useRef(new Map<string, number>());
  useLeaveWarning(dirty && steps.back !== null);

  const change = (next: Hour) => {
    steps.change({ ...next, parts: withTest(next.parts) });
    setDirty(true);
  };
  const changePart = (key: string, part: Partial<Part>) =>
    change({ ...hour, parts: hour.parts.map((one) => (one.key === key ? { ...one, ...part } : one)) });

  /** Fills parts anew: all that are not kept, or one of them with the next best. */
  const fill = async (of: Hour, people: readonly string[], only?: string) => {
    const seed = only === undefined ? 1 : (seeds.current.get(only) ?? 1) + 1;
    if (only === undefined) seeds.current.clear();
    else seeds.current.set(only, seed);
    const asked = of.parts.map((part) => ({ ...part, pinned: only === undefined ? part.pinned : part.key !== only }));
    setBusy(asked.filter(({ pinned }) => !pinned).map(({ key }) => key));
    const wish = { school: of.school, parts: asked, greenId: of.greenId, seed };
    const answer = await fillAction(slug, [...people], plain(wish)).catch(() => null);
    setBusy([]);
    if (!answer?.ok) return setWrong({ '': answer ? (Object.values(answer.fields)[0] ?? NOT_SENT) : NOT_SENT });
    setWrong({});
    setHour((now) => ({ ...now, parts: filledWith(now.parts, answer.filled, newId) }));
    setDirty(true);
  };
  const rearrange = (next: Hour, people = who) => {
    change(next);
    void fill(next, people);
  };
  const setPeople = (people: readonly string[]) => {
    setWho(people);
    void fill(hour, people);
  };

  const save = async () => {
    const read = hourSchema.safeParse(hour);
    if (!read.success) return setWrong(faults(read.error).fields);
    setSaving(true);
    const answer = await saveHourAction(slug, hourId, plain(read.data), [...who], savedAt).catch(() => null);
    setSaving(false);
    if (!answer) return setWrong({ '': NOT_SENT });
    if (!answer.ok) return setWrong((answer as Refused).fields);
    setWrong({});
    setHour(answer.hour);
    setSavedAt(answer.savedAt);
    setDirty(false);
    if (openedAt === null) router.replace(`/a/${slug}/plan/hour/${hourId}`);
  };

  const chosen = who.flatMap((id) => players.find((player) => player.id === id) ?? []);
  const faultsOf = (at: number) =>
    Object.fromEntries(
      Object.entries(wrong).flatMap(([path, text]) => (path.startsWith(`parts.${at}.`) ? [[path.slice(`parts.${at}.`.length), text]] : [])),
    );
  const general = Object.entries(wrong).find(([path]) => !/^parts\.\d|^title|^minutes/.test(path))?.[1];
  const green = greens.find(({ id }) => id === hour.greenId);
  const balls = Math.max(0, ...hour.parts.map(({ setOf }) => setOf ?? 0));
  const specs = hour.parts.flatMap(({ game }) => game?.spec ?? []);
  return (
    <div className={styles.page}>
      <PlanHead
        title={hour.title}
        wrong={wrong.title}
        onTitle={(title) => change({ ...hour, title })}
        onUndo={steps.back && undo}
        dirty={dirty}
        canSave={ready && !saving && busy.length === 0}
        onSave={() => void save()}
      >
        <a href={hourAddress(slug, hourId)} className="btn btn-primary">
          Start the clock
        </a>
        {savedAt !== null && (
          <a href={`/a/${slug}/plan/hour/${hourId}/file`} className="btn btn-outline-dark" download>
            Plan file
          </a>
        )}
      </PlanHead>
      <p className={styles.printed}>
        For {listed(chosen.map(({ name }) => name))}
        {green && `, on ${green.name}`}
        {hour.day && `, ${hour.day}`}
      </p>
      <FormAlert message={general} />
      <HourBar
        {...{ hour, who, players, greens }}
        onPeople={setPeople}
        onMinutes={setMinutes}
        onGreen={(greenId) => rearrange({ ...hour, greenId })}
        onDay={(day) => change({ ...hour, day })}
        weeksAt={weeksId && `/a/${slug}/plan/weeks/${weeksId}`}
        onPart={addPart}
      />
      <MinutesTape parts={hour.parts} onMove={(at, minute) => change({ ...hour, parts: withBoundary(hour.parts, at, minute) })} />
      <div
        className={styles.parts}
        style={{ gridTemplateColumns: hour.parts.map(({ minutes }) => `minmax(11rem, ${minutes}fr)`).join(' ') }}
      >
        {hour.parts.map((part, at) => (
          <PartCard
            key={part.key}
            part={part}
            units={units}
            games={games.map(({ spec }, i) => ({ gameId: String(i), title: spec.title }))}
            faults={faultsOf(at)}
            takesS={part.game && secondsFor(part.game.spec, who.length)}
            landing={landingOf(slug, part, who)}
            busy={busy.includes(part.key)}
            onMinutes={(minutes) => {
              if (Number.isFinite(minutes) && minutes !== part.minutes) change({ ...hour, parts: withMinutes(hour.parts, at, minutes) });
            }}
            onChange={(made) => changePart(part.key, made)}
            onAnother={() => void fill(hour, who, part.key)}
            onGame={(which) => {
              const game = games[Number(which)];
              if (game)
                changePart(part.key, {
                  game: { gameId: game.gameId ?? newId(), spec: game.spec },
                  title: game.spec.title,
                  why: '',
                  pinned: true,
                });
            }}
            onRemove={hour.parts.length > 1 ? () => change({ ...hour, parts: without(hour.parts, at) }) : null}
          />
        ))}
      </div>
      <div className={styles.below}>
        <SchoolPanel slug={slug} school={hour.school} own={schools} onChange={(school) => rearrange(bySchool(hour, school))} />
        <section>
          <h2>Bring</h2>
          <ul className="mb-2">
            {bringToAll(specs, balls, units).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <p className="small-print mb-0">{CARE_IN_SHORT}</p>
        </section>
      </div>
      {openedAt !== null && (
        <p className="no-print mt-4 mb-0">
          {weeksId === null && <PutAway slug={slug} words="Put this hour away" putAway={() => archiveHourAction(slug, hourId, true)} />}{' '}
          <Link href={`/a/${slug}/plan`}>All plans</Link>
        </p>
      )}
    </div>
  );

  function undo() {
    steps.back?.();
    setDirty(true);
  }
  function addPart(kind: PartKind) {
    const next = withPart(hour, kind);
    const fresh = next.parts.find(({ key }) => hour.parts.every((part) => part.key !== key))!;
    change(next);
    if (kind !== 'other') void fill(next, who, fresh.key);
  }
  function setMinutes(minutes: number) {
    if (!Number.isInteger(minutes) || minutes === hour.minutes) return;
    if (minutes < SHORTEST || minutes > LONGEST) return setWrong({ '': `An hour is ${SHORTEST} to ${LONGEST} minutes.` });
    rearrange(inMinutes(hour, minutes));
  }
}

/** Where the first ball of a part for landing spots should land, of whoever it is for, if it is for one. */
function landingOf(slug: string, { kind, game }: Part, who: readonly string[]): string | null {
  const station = kind === 'landing' ? game?.spec.stations[0] : undefined;
  const query = station && landingQueryOf(station, {}, { for: who.length === 1 ? who[0] : undefined });
  return query ? `/a/${slug}/tools/landing${query}` : null;
}
