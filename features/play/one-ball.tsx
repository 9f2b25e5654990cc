'use client';

import { isPutt } from '@/core/golf/shot-types';
import { useReducer, useState } from 'react';
import { sayAtStation, sayStation, sayStationLie } from '@/core/game/words/say-station';
import type { Standing } from '@/core/play/play';
import { answered, NO_ANSWERS, nextQuestion, sayAsked, type Bag, type Question } from '@/core/play/questions';
import { sayKey } from '@/core/game/words/say-key';
import { schemeOf } from '@/core/game/scoring';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import { ballOf, UNKNOWN, type Details, type Result } from '@/core/game/scoring/ball';
import type { Turn } from '@/core/game/turn';
import { sayMarks } from '@/core/shot/say-shot';
import { formatLeft } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { AnswerKeys, FinishMarks } from './answer-keys';
import { Card } from './card';
import { kept, MARK_WORDS, marksShown, QUICK_MARKS, rememberMarks, SAYS_ALL, withDetails } from './details';
import { DetailsSheet } from './details-sheet';
import { shake } from './device/device-extras';
import type { Offer } from './device/store';
import { Drawn, reachOf } from './drawn';
import { ballAfter, newBall, type Entry } from './one-ball-state';
import { PlacePanel } from './place-panel';
import styles from './play.module.scss';
import { QuestionPanel } from './question-panel';
import { recordBall, undoBall, type Sitting } from './record';
import { ScoreLine } from './score-line';
import { TypePanel } from './type-panel';
import { UndoButton } from './undo-button';
import { useAnswerKeys } from './use-answer-keys';

export type BallProps = {
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

type OneProps = BallProps & {
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

/** One ball: everything about it that can be said, and what it comes to. */
export function OneBall(props: OneProps) {
  const { sitting, seat, standing, bag, system, balls, toBeatM = null, turn, outOfTurn, busy, once, onRecorded, onElsewhere } = props;
  const { details, onDetails, offer = null } = props;
  const { phase } = standing;
  const scheme = schemeOf(phase.scoring);
  const measured = scheme.takesDistance(phase.scoring);
  // Where every distance counts and no ring is asked for, the number pad comes first.
  const typesFirst = measured && scheme.asks(phase, turn.station).every((key) => key.kind !== 'ring' && key.edgeM !== 0);
  const [{ entry, answers, sheet }, dispatch] = useReducer(ballAfter, typesFirst ? 'type' : 'keys', newBall);
  const enter = (next: Entry) => dispatch({ do: 'enter', entry: next });
  const [marksOn, setMarksOn] = useState(marksShown);
  const question = nextQuestion(standing, turn, bag, answers);

  const keep = (result: Result) =>
    once(async () => {
      if (await recordBall(sitting, seat, turn, withDetails(result, details), outOfTurn)) shake();
      onRecorded();
    });
  const answer = (asked: Question, key: Pick<AnswerKey, 'result'>) => {
    const more = answered(answers, asked, key);
    if (nextQuestion(standing, turn, bag, more)) once(async () => dispatch({ do: 'answer', question: asked, key }));
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
  useAnswerKeys(main !== null && entry.way === 'keys' && !busy && !sheet, main?.keys ?? [], (key) => main && answer(main, key), undo);

  const verdict = (result: Result) => scheme.verdict(ballOf({ ...answers.given, ...result }), turn.station, phase);
  const more = (
    <button type="button" className="btn btn-outline-dark" onClick={() => dispatch({ do: 'openSheet' })}>
      More
    </button>
  );
  if (sheet)
    return (
      <main className={styles.ball} aria-busy={busy}>
        <DetailsSheet
          station={turn.station}
          clubs={bag.clubs}
          system={system}
          details={details}
          onChange={onDetails}
          onDone={() => {
            dispatch({ do: 'closeSheet' });
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
  const leaves = scheme.unit(phase.scoring) === 'strokes' && !isPutt(turn.station.shotType);
  const wantsFinish = phase.rules.offGreenCost !== null || scheme.asksFinish(turn.station);
  return (
    <main className={styles.ball} aria-busy={busy}>
      <BallHead phase={phase} turn={turn} system={system} played={here.length} of={of} />
      {question && question.kind !== 'result' ? (
        <>
          <ScoreLine standing={standing} system={system} toBeatM={toBeatM} />
          <QuestionPanel
            question={question}
            busy={busy}
            onAnswer={(key) => answer(question, key)}
            onBack={answers === NO_ANSWERS ? null : () => dispatch({ do: 'back' })}
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
            enter({ way: 'keys' });
          }}
          onCancel={() => enter({ way: 'keys' })}
        />
      ) : entry.way === 'type' ? (
        <>
          <ScoreLine standing={standing} system={system} toBeatM={toBeatM} />
          {typesFirst && (
            <div className={styles.two} style={{ gridTemplateColumns: 'repeat(3, 1fr)' }}>
              <UndoButton sitting={sitting} disabled={balls === 0} />
              <button type="button" className="btn btn-outline-dark" onClick={() => enter({ way: 'keys' })}>
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
            onCancel={() => enter({ way: 'keys' })}
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
              onPlace={(place) => enter({ way: 'place', place })}
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
              onMove={(place) => enter({ way: 'place', place })}
              onRecord={record}
              onCancel={() => enter({ way: 'keys' })}
            />
          ) : (
            <>
              <Marked details={details} system={system} finish={wantsFinish} quick={marksOn} onDetails={onDetails} onMark={mark} />
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
                    onClick={() => enter({ way: 'type' })}
                  >
                    {offer ? formatLeft(offer.distanceM, system) : 'Distance'}
                  </button>
                )}
                {leaves && (
                  <button type="button" className="btn btn-outline-dark" onClick={() => enter({ way: 'leave' })}>
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

type HeadProps = {
  phase: Standing['phase'];
  turn: Turn;
  system: UnitSystem;
  /** Balls of this station so far, and in all. */ played: number;
  of: number;
};

/** Where a ball is played from, and what is asked of it. */
function BallHead({ phase, turn, system, played, of }: HeadProps) {
  const asked = sayAsked(turn);
  const says = schemeOf(phase.scoring).stationSays;
  return (
    <div className={styles.station} aria-live="polite">
      <h1>{sayStation(turn.station, system)}</h1>
      <p>
        {asked && <strong className={styles.asked}>{asked}</strong>} {sayStationLie(turn.station)}
        {turn.station.target === 'peg' && ' · to the peg'}
        {says.includes('par') && ` · par ${turn.station.par ?? 2}`}
        {says.includes('carryM') && turn.station.carryM !== null && (
          <strong> · land at {sayAtStation(turn.station.carryM, turn.station, system)}</strong>
        )}
        {turn.attempt > 1 && <strong> · again, attempt {turn.attempt}</strong>}
      </p>
      {of > 1 && (
        <span className={`${styles.count} fig`}>
          {Math.min(of, played + 1)}
          <small>of {of}</small>
        </span>
      )}
    </div>
  );
}

type MarkedProps = {
  details: Details;
  system: UnitSystem;
  /** Whether the game asks where a ball finished, and whether the marks are kept on the screen. */
  finish: boolean;
  quick: boolean;
  onDetails: (details: Details) => void;
  onMark: (counts: Details['counts']) => void;
};

/** What is marked on this ball so far, and the marks that are one press away. */
function Marked({ details, system, finish: wantsFinish, quick, onDetails, onMark }: MarkedProps) {
  const marks = sayMarks(details, system);
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
      {wantsFinish && <FinishMarks value={details.finish ?? null} onChange={(finish) => onDetails({ ...details, finish })} />}
      {quick && (
        <div className={styles.marks} role="group" aria-label="Marks">
          {QUICK_MARKS.map((counts) => (
            <button key={counts} type="button" aria-pressed={details.counts === counts} onClick={() => onMark(counts)}>
              {MARK_WORDS[counts]}
            </button>
          ))}
        </div>
      )}
    </>
  );
}
