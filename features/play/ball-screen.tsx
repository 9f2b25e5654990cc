'use client';

import { useEffect, useState } from 'react';
import { sayStation, sayStationLie, stationUnit } from '@/core/game/describe';
import { freshStationKey } from '@/core/game/open';
import type { Standing } from '@/core/game/play';
import { answered, NO_ANSWERS, nextQuestion, sayAsked, type Answers, type Bag, type Question } from '@/core/game/questions';
import { sayKey } from '@/core/game/say-key';
import { schemeOf } from '@/core/game/scoring';
import { ballOf, UNKNOWN, type AnswerKey, type Details, type Result } from '@/core/game/scoring/scheme';
import type { Station } from '@/core/game/station';
import type { Turn } from '@/core/game/turn';
import { sayMarks } from '@/core/shot/say-shot';
import { formatLeft, formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { Place } from '@/ui/target';
import { AnswerKeys, FinishMarks } from './answer-keys';
import { CallStation } from './call-station';
import { Card } from './card';
import { kept, MARK_WORDS, marksShown, QUICK_MARKS, rememberMarks, SAYS_ALL } from './details';
import { DetailsSheet } from './details-sheet';
import { shake } from './device/device-extras';
import type { Offer } from './device/store';
import { Drawn, reachOf } from './drawn';
import { PlacePanel } from './place-panel';
import styles from './play.module.scss';
import { QuestionPanel } from './question-panel';
import { recordBall, undoBall, type Sitting } from './record';
import { ScoreLine } from './score-line';
import { StationChoice } from './station-choice';
import { TypePanel } from './type-panel';
import { UndoButton } from './undo-button';
import { useOneAtATime } from './use-one-at-a-time';

type Props = {
  sitting: Sitting;
  seat: number;
  standing: Standing;
  bag: Bag;
  system: UnitSystem;
  /** Balls of the session, everybody's. */
  balls: number;
  /** The nearest of the others in this round, in metres, where players are compared. */
  toBeatM?: number | null;
  /** The station at which somebody stands, by its key: it comes first, where the game has a ball for it. */
  startAt?: string | null;
  /** What a device for distances read and nobody has taken yet. */
  offer?: Offer | null;
};

/** The way in which a ball is being entered: by key, by a tap on the target, or by a typed distance. */
type Entry = { way: 'keys' } | { way: 'place'; place: Place } | { way: 'type' } | { way: 'leave' };

/** One ball after another: where it is played from, where it stopped, how it stands. */
export function BallScreen(props: Props) {
  const { standing, system } = props;
  const [chosen, setChosen] = useState<Turn | null>(null);
  const [at, setAt] = useState(props.startAt ?? null);
  const [calling, setCalling] = useState(false);
  // How a ball is played stays for the next one of the same player at the same station.
  const [marked, setMarked] = useState<{ at: string; details: Details }>({ at: '', details: {} });
  // Outlives the ball: a press right after another one is the same press, whichever ball is on screen by then.
  const [busy, once] = useOneAtATime();
  const { next, choice, game } = standing;
  const there = next && next.attempt === 1 ? standing.open.find((turn) => turn.station.key === at) : undefined;
  const open = chosen && (game.open || choice.some((turn) => sameTurn(turn, chosen))) ? chosen : (there ?? null);

  if (game.open && (calling || (!next && !open))) {
    const turnNo = next?.turnNo ?? 0;
    const call = (station: Station) => {
      setCalling(false);
      setChosen({ turnNo, phase: 0, station, stationNo: game.stations.length + 1, ballNo: 1, asked: {}, attempt: 1 });
    };
    return (
      <main className={styles.ball}>
        <CallStation
          stationKey={freshStationKey(game.stations)}
          system={system}
          onCall={call}
          onBack={next ? () => setCalling(false) : null}
        />
      </main>
    );
  }
  if (choice.length > 1 && !open) {
    const left = (turn: Turn) => leftAt(standing, turn);
    return (
      <main className={styles.ball}>
        <ScoreLine standing={standing} system={system} />
        <StationChoice turns={choice} left={left} system={system} onChoose={setChosen} />
        <div className={styles.two}>
          <UndoButton sitting={props.sitting} disabled={props.balls === 0} />
        </div>
      </main>
    );
  }
  const turn = open ?? next!;
  const place = `${turn.station.key}|${props.seat}`;
  const details = marked.at === place ? marked.details : {};
  return (
    <OneBall
      key={`${turn.turnNo}|${turn.station.key}|${turn.ballNo}|${turn.attempt}|${props.seat}`}
      {...props}
      turn={turn}
      outOfTurn={turn === there}
      busy={busy}
      once={once}
      details={details}
      onDetails={(next) => setMarked({ at: place, details: next })}
      onRecorded={() => {
        setMarked({ at: place, details: kept(details) });
        setChosen(null);
        // Station after station, the balls of the one at hand are played out; any other order goes on by itself.
        if (standing.phase.order !== 'blocked') setAt(null);
      }}
      onElsewhere={
        game.open
          ? () => setCalling(true)
          : choice.length > 1
            ? () => {
                setChosen(null);
                setAt(null);
              }
            : null
      }
    />
  );
}

const sameTurn = (a: Turn, b: Turn) => a.station.key === b.station.key && a.ballNo === b.ballNo && a.turnNo === b.turnNo;

/** How many balls like this one are left. */
function leftAt({ phase, played }: Standing, turn: Turn): number {
  const asked = JSON.stringify(turn.asked);
  const like = (phase.lots ?? []).filter((lot) => phase.stations[lot.at]!.key === turn.station.key && JSON.stringify(lot.asked) === asked);
  const done = played.filter((shot) => shot.phase === phase.index && shot.stationKey === turn.station.key).map((shot) => shot.ballNo);
  return like.filter((lot) => !done.includes(lot.ballNo)).length;
}

type OneProps = Props & {
  turn: Turn;
  /** Whether it is here because somebody stands at its station. */
  outOfTurn: boolean;
  busy: boolean;
  once: (run: () => Promise<unknown>) => void;
  /** What is marked on this ball beside its result. */
  details: Details;
  onDetails: (details: Details) => void;
  onRecorded: () => void;
  onElsewhere: (() => void) | null;
};

function OneBall(props: OneProps) {
  const { sitting, seat, standing, bag, system, balls, toBeatM = null, turn, outOfTurn, busy, once, onRecorded, onElsewhere } = props;
  const { details, onDetails, offer = null } = props;
  const { phase } = standing;
  const scheme = schemeOf(phase.scoring);
  const measured = scheme.takesDistance(phase.scoring);
  // Where every distance counts and no ring is asked for, the number pad comes first.
  const typesFirst = measured && scheme.asks(phase, turn.station).every((key) => key.kind !== 'ring' && key.edgeM !== 0);
  const [entry, setEntry] = useState<Entry>({ way: typesFirst ? 'type' : 'keys' });
  const [answers, setAnswers] = useState<Answers>(NO_ANSWERS);
  const [sheet, setSheet] = useState(false);
  const [marksOn, setMarksOn] = useState(marksShown);
  const question = nextQuestion(standing, turn, bag, answers);

  const keep = (result: Result) =>
    once(async () => {
      if (await recordBall(sitting, seat, turn, withDetails(result, details), outOfTurn)) shake();
      onRecorded();
    });
  const answer = (asked: Question, key: Pick<AnswerKey, 'result'>) => {
    const more = answered(answers, asked, key);
    if (nextQuestion(standing, turn, bag, more)) once(async () => setAnswers(more));
    else keep(more.given as Result);
  };
  /** A mark that says all ends the ball: its turn is still to be played. */
  const mark = (counts: Details['counts']) => {
    if (counts && SAYS_ALL.includes(counts))
      once(async () => {
        await recordBall(sitting, seat, turn, { ...UNKNOWN, measured: 'eye', ...details, counts }, outOfTurn);
        onDetails(kept(details));
      });
    else {
      const { counts: before, ...rest } = details;
      onDetails(counts && before !== counts ? { ...rest, counts } : rest);
    }
  };
  const main = question?.kind === 'result' ? question : null;
  const record = (result: Result) => main && answer(main, { result });
  const undo = () => once(() => undoBall(sitting));
  useKeyboard(main !== null && entry.way === 'keys' && !busy && !sheet, main?.keys ?? [], (key) => main && answer(main, key), undo);

  const verdict = (result: Result) => scheme.verdict(ballOf({ ...answers.given, ...result }), turn.station, phase);
  const asked = sayAsked(turn);
  const marks = sayMarks(details, system);
  const more = (
    <button type="button" className="btn btn-outline-dark" onClick={() => setSheet(true)}>
      More
    </button>
  );
  if (sheet)
    return (
      <main className={styles.ball}>
        <DetailsSheet
          station={turn.station}
          clubs={bag.clubs}
          system={system}
          details={details}
          onChange={onDetails}
          onDone={() => {
            setSheet(false);
            if (details.counts && SAYS_ALL.includes(details.counts)) mark(details.counts);
          }}
          marksShown={marksOn}
          onMarksShown={(shown) => {
            setMarksOn(shown);
            rememberMarks(shown);
          }}
        />
      </main>
    );
  const here = standing.played.filter((shot) => shot.phase === phase.index && shot.stationKey === turn.station.key);
  const of = phase.lots?.filter((lot) => phase.stations[lot.at]!.key === turn.station.key).length ?? 0;
  // Strokes to hole out say more when it is known from where the putting began.
  const leaves = scheme.unit(phase.scoring) === 'strokes' && turn.station.shotType !== 'putt';
  const wantsFinish = phase.rules.offGreenCost !== null || (phase.scoring.scheme === 'hole_out' && turn.station.surface !== 'green');
  return (
    <main className={styles.ball}>
      <div className={styles.station} aria-live="polite">
        <h1>{sayStation(turn.station, system)}</h1>
        <p>
          {asked && <strong className={styles.asked}>{asked}</strong>} {sayStationLie(turn.station)}
          {turn.station.target === 'peg' && ' · to the peg'}
          {phase.scoring.scheme === 'hole_out' && ` · par ${turn.station.par ?? 2}`}
          {phase.scoring.scheme === 'landing_zone' && turn.station.carryM !== null && (
            <strong> · land at {formatLength(turn.station.carryM, stationUnit(turn.station, system))}</strong>
          )}
          {turn.attempt > 1 && <strong> · again, attempt {turn.attempt}</strong>}
        </p>
        {of > 1 && (
          <span className={`${styles.count} fig`}>
            {Math.min(of, here.length + 1)}
            <small>of {of}</small>
          </span>
        )}
      </div>
      {question && question.kind !== 'result' ? (
        <>
          <ScoreLine standing={standing} system={system} toBeatM={toBeatM} />
          <QuestionPanel
            question={question}
            busy={busy}
            onAnswer={(key) => answer(question, key)}
            onBack={answers === NO_ANSWERS ? null : () => setAnswers(NO_ANSWERS)}
          />
          {answers === NO_ANSWERS && (
            <div className={styles.two}>
              <UndoButton sitting={sitting} disabled={balls === 0} />
            </div>
          )}
        </>
      ) : entry.way === 'leave' ? (
        <TypePanel
          system={system}
          measures={sitting.players[seat]!.measures}
          offer={offer}
          verdict={() => 'left on the green'}
          busy={busy}
          onRecord={({ leftM, measured: how }) => {
            onDetails({ ...details, leftM, measured: how });
            setEntry({ way: 'keys' });
          }}
          onCancel={() => setEntry({ way: 'keys' })}
        />
      ) : entry.way === 'type' ? (
        <>
          <ScoreLine standing={standing} system={system} toBeatM={toBeatM} />
          {typesFirst && (
            <div className={styles.two} style={{ gridTemplateColumns: 'repeat(3, 1fr)' }}>
              <UndoButton sitting={sitting} disabled={balls === 0} />
              <button type="button" className="btn btn-outline-dark" onClick={() => setEntry({ way: 'keys' })}>
                Target
              </button>
              {more}
            </div>
          )}
          <TypePanel
            system={system}
            measures={sitting.players[seat]!.measures}
            mostBalls={scheme.unit(phase.scoring) === 'length' && phase.order !== 'random' ? Math.max(1, of - here.length) : 1}
            offer={offer}
            verdict={verdict}
            busy={busy}
            onRecord={record}
            quick={typesFirst ? (main?.keys ?? []) : []}
            sayQuick={(key) => sayKey(key, phase.sizes, system, turn.station.target)}
            onCancel={() => setEntry({ way: 'keys' })}
          />
        </>
      ) : (
        <>
          {measured && (
            <Drawn
              standing={standing}
              turn={turn}
              system={system}
              placing={entry.way === 'place' ? entry.place : null}
              onPlace={(place) => setEntry({ way: 'place', place })}
            />
          )}
          <ScoreLine standing={standing} system={system} toBeatM={toBeatM} />
          {!measured && <Card standing={standing} />}
          {entry.way === 'place' ? (
            <PlacePanel
              place={entry.place}
              reachM={reachOf(standing, turn)}
              system={system}
              verdict={verdict}
              busy={busy}
              onMove={(place) => setEntry({ way: 'place', place })}
              onRecord={record}
              onCancel={() => setEntry({ way: 'keys' })}
            />
          ) : (
            <>
              {marks && (
                <p className={styles.marked} role="status">
                  {marks}
                  <button type="button" onClick={() => onDetails({})}>
                    clear
                  </button>
                </p>
              )}
              {wantsFinish && <FinishMarks value={details.finish ?? null} onChange={(finish) => onDetails({ ...details, finish })} />}
              {marksOn && (
                <div className={styles.marks} role="group" aria-label="Marks">
                  {QUICK_MARKS.map((counts) => (
                    <button key={counts} type="button" aria-pressed={details.counts === counts} onClick={() => mark(counts)}>
                      {MARK_WORDS[counts]}
                    </button>
                  ))}
                </div>
              )}
              <div
                className={styles.two}
                style={{ gridTemplateColumns: `repeat(${2 + (measured || leaves ? 1 : 0) + (onElsewhere ? 1 : 0)}, 1fr)` }}
              >
                <UndoButton sitting={sitting} disabled={balls === 0} />
                {onElsewhere && (
                  <button type="button" className="btn btn-outline-dark" onClick={onElsewhere}>
                    {standing.game.open ? 'Call another' : 'Elsewhere'}
                  </button>
                )}
                {measured && (
                  <button
                    type="button"
                    className={`btn btn-outline-dark ${offer ? styles.read : ''}`}
                    aria-label={offer ? `The reader says ${formatLeft(offer.distanceM, system)}: look at it` : 'Type distance'}
                    onClick={() => setEntry({ way: 'type' })}
                  >
                    {offer ? formatLeft(offer.distanceM, system) : 'Distance'}
                  </button>
                )}
                {leaves && (
                  <button type="button" className="btn btn-outline-dark" onClick={() => setEntry({ way: 'leave' })}>
                    Leave
                  </button>
                )}
                {more}
              </div>
              <AnswerKeys
                keys={main?.keys ?? []}
                name={(key) => sayKey(key, phase.sizes, system, turn.station.target)}
                unit={scheme.unit(phase.scoring)}
                busy={busy}
                onPress={(key) => main && answer(main, key)}
              />
            </>
          )}
        </>
      )}
    </main>
  );
}

/** A result with what is marked beside it: what the game asked for is not overruled by a mark, and a holed ball has nothing left. */
function withDetails(result: Result, { leftM, measured, ...details }: Details): Result {
  const said = Object.entries(result).filter(([name, value]) => value !== (UNKNOWN as Record<string, unknown>)[name] && value != null);
  const known = result.holed || result.leftM !== null || result.leftMinM !== null;
  const leave = leftM != null && !known ? { leftM, measured: measured ?? 'eye' } : {};
  return { ...result, ...details, ...Object.fromEntries(said), ...leave };
}

/** At a desk: H holed, 1 to 8 the keys that stand for a ring or a word, 0 outside, U undo. */
function useKeyboard(active: boolean, keys: AnswerKey[], press: (key: AnswerKey) => void, undo: () => void) {
  useEffect(() => {
    if (!active) return;
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const letter = event.key.toLowerCase();
      const key =
        letter === 'h'
          ? keys.find(({ kind }) => kind === 'holed')
          : letter === '0'
            ? keys.find(({ kind }) => kind === 'outside')
            : keys.filter(({ kind }) => kind === 'ring' || kind === 'word')[Number(letter) - 1];
      if (key) press(key);
      else if (letter === 'u') undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
