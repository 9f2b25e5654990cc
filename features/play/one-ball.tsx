'use client';

import { isPutt } from '@/core/golf/shot-types';
import { useLayoutEffect, useReducer, useState } from 'react';
import { sayAtStation, sayGround, sayStation, sayStationLie, sayWhere } from '@/core/game/words/say-station';
import type { Standing } from '@/core/play/play';
import type { ToBeat } from '@/core/play/round';
import { ballsOfTally, tallyOf } from '@/core/play/tally';
import { answered, choosesClub, clubsOf, NO_ANSWERS, nextQuestion, sayAsked, type Bag, type Question } from '@/core/play/questions';
import { sayKey } from '@/core/game/words/say-key';
import { schemeOf } from '@/core/game/scoring';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import { ballOf, UNKNOWN, type Details, type Result } from '@/core/game/scoring/ball';
import type { Turn } from '@/core/game/turn';
import { sayMarks } from '@/core/shot/say-shot';
import type { Shot } from '@/core/shot/shot';
import { formatLeft } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { AnswerKeys } from './answer-keys';
import { CallShot } from './call-shot';
import { Card } from './card';
import { kept, rememberRows, rowsShown, SAYS_ALL, withDetails } from './details';
import { Marked } from './marked';
import { DetailsSheet } from './details-sheet';
import { shake } from './device/device-extras';
import type { Offer } from './device/store';
import { Drawn, reachOf } from './drawn';
import { ballAfter, newBall, type Entry } from './one-ball-state';
import { Landing } from './landing';
import { PlacePanel } from './place-panel';
import styles from './play.module.scss';
import { QuestionPanel } from './question-panel';
import { recordBall, recordSet, type Sitting } from './record';
import { ScoreLine } from './score-line';
import { TallyPanel } from './tally-panel';
import { TypePanel } from './type-panel';
import type { Typed } from './entry';
import { UndoButton } from './undo-button';
import { useAnswerKeys } from './use-answer-keys';
import type { Press, Presses, Taken } from './use-presses';

export type BallProps = {
  sitting: Sitting;
  seat: number;
  standing: Standing;
  bag: Bag;
  system: UnitSystem;
  /** Balls of the session, everybody's. */
  balls: number;
  /** The others' balls of this round, where players are compared. */
  rival?: ToBeat | null;
  /** The balls that were removed last and can be put back; none once another is recorded. */
  removed?: Shot[];
  onRemoved?: (balls: Shot[]) => void;
  /** The station at which somebody stands, by its key: it comes first, where the game has a ball for it. */
  startAt?: string | null;
  /** What a device for distances read and nobody has taken yet. */
  offer?: Offer | null;
};

type OneProps = BallProps & {
  turn: Turn;
  /** Whether it is here because somebody stands at its station. */
  outOfTurn: boolean;
  presses: Presses;
  pad: Typed;
  onPad: (change: (now: Typed) => Typed) => void;
  /** Takes back what was chosen before this ball, or the last ball. */
  onUndo: () => Promise<Taken>;
  /** What has to be said above the keys: of the last press, of a ball that was removed. */
  said: React.ReactNode;
  /** What is marked on this ball beside its result. */
  details: Details;
  onDetails: (details: Details) => void;
  /** @param again why the ball does not count and its turn is open again; null: it is as usual */
  onRecorded: (again: Shot['counts'] | null) => void;
  onElsewhere: (() => void) | null;
};

/** One ball: everything about it that can be said, and what it comes to. */
export function OneBall(props: OneProps) {
  const { sitting, seat, standing, bag, system, balls, rival = null, turn, outOfTurn, presses, onRecorded, onElsewhere } = props;
  const { details, onDetails, pad, onPad, onUndo, said, offer = null } = props;
  const { busy, press, takenBy } = presses;
  const { phase } = standing;
  const scheme = schemeOf(phase.scoring);
  const measured = scheme.takesDistance(phase.scoring);
  // Where every distance counts and no ring is asked for, the number pad comes first.
  const typesFirst = measured && scheme.asks(phase, turn.station).every((key) => key.kind !== 'ring' && key.edgeM !== 0);
  const way = typesFirst ? 'type' : 'keys';
  const [{ entry, answers, sheet }, dispatch] = useReducer(ballAfter, way, newBall);
  // The keys stay where they are from ball to ball, so that one that is down while the screen changes is still that key when it comes up.
  const ball = `${turn.turnNo}|${turn.station.key}|${turn.ballNo}|${turn.attempt}|${seat}`;
  const [shownBall, setShownBall] = useState(ball);
  if (shownBall !== ball) {
    setShownBall(ball);
    dispatch({ do: 'next', way });
  }
  const enter = (next: Entry) => dispatch({ do: 'enter', entry: next });
  const [rows, setRows] = useState(rowsShown);
  const question = nextQuestion(standing, turn, bag, answers, rival);

  const keep = async (result: Result): Promise<Taken> => {
    const stored = await recordBall(sitting, seat, turn, result, outOfTurn);
    if (stored) shake();
    return stored ? 'ball' : 'nothing';
  };
  const answer = async (asked: Question, key: Pick<AnswerKey, 'result'>): Promise<Taken> => {
    const more = answered(answers, asked, key);
    if (nextQuestion(standing, turn, bag, more, rival)) {
      dispatch({ do: 'answer', question: asked, key });
      return 'choice';
    }
    const taken = await keep(withDetails(more.given as Result, details));
    // A ball that is to be hit again leaves its turn open: what is asked of it is asked anew.
    dispatch({ do: 'back' });
    onRecorded(taken === 'ball' ? (details.counts ?? null) : null);
    return taken;
  };
  // A club that the game names or asks for is no mark.
  const fixed = turn.asked.club ?? turn.station.club;
  const clubs = fixed !== null || choosesClub(standing, turn) ? [] : clubsOf(bag);
  const main = question?.kind === 'result' ? question : null;
  const tally = tallyOf(standing, turn, bag, answers);
  const keepSet = async (results: readonly Result[]): Promise<Taken> => {
    if (!tally || !(await recordSet(sitting, seat, tally.turns, results))) return 'nothing';
    shake();
    onRecorded(null);
    return 'ball';
  };
  const take = async (one: Press): Promise<Taken> => {
    switch (one.do) {
      case 'undo':
        if (answers === NO_ANSWERS) return onUndo();
        dispatch({ do: 'back' });
        return 'choice';
      case 'mark': {
        const taken = await keep({ ...UNKNOWN, measured: 'eye', ...details, counts: one.counts });
        onRecorded(taken === 'ball' ? one.counts : null);
        return taken;
      }
      case 'result':
        return main ? answer(main, one) : 'nothing';
      case 'call':
        return question?.kind === 'call' ? answer(question, { result: { ...UNKNOWN, called: one.called } }) : 'nothing';
      case 'set':
        return keepSet(one.results.map((result) => withDetails(result, kept(details))));
      case 'key': {
        const key = question?.kind === one.question ? question.keys.find(({ key, refused }) => key === one.key && !refused) : undefined;
        return question && key ? answer(question, key) : 'nothing';
      }
    }
  };
  useLayoutEffect(() => takenBy(take));
  const pressKey = (asked: Question, { key }: AnswerKey) => press({ do: 'key', question: asked.kind, key });
  /** A mark that says all ends the ball: its turn is still to be played. */
  const mark = (counts: Details['counts']) => {
    if (counts && SAYS_ALL.includes(counts)) press({ do: 'mark', counts });
    else {
      const { counts: before, ...rest } = details;
      onDetails(counts && before !== counts ? { ...rest, counts } : rest);
    }
  };
  const record = (result: Result) => press({ do: 'result', result });
  const undo = () => press({ do: 'undo' });
  useAnswerKeys(main !== null && entry.way === 'keys' && !sheet, main?.keys ?? [], (key) => main && pressKey(main, key), undo);

  const verdict = (result: Result) => scheme.verdict(ballOf({ ...answers.given, ...result }), turn.station, phase);
  // Where a key says it anyway, it is not asked twice.
  const keysSay = main?.keys.some(({ result }) => result.finish != null) ?? false;
  const wantsFinish = !keysSay && (phase.rules.offGreenCost !== null || scheme.asksFinish(turn.station));
  const marked = (
    <Marked
      details={details}
      system={system}
      putt={isPutt(turn.station.shotType)}
      clubs={clubs}
      swings={bag.marks ?? []}
      finish={wantsFinish}
      rows={rows}
      onDetails={onDetails}
      onMark={mark}
    />
  );
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
          clubs={clubs}
          swings={bag.marks ?? []}
          system={system}
          details={details}
          onChange={onDetails}
          onDone={() => {
            dispatch({ do: 'closeSheet' });
            if (details.counts && SAYS_ALL.includes(details.counts)) mark(details.counts);
          }}
          rows={rows}
          onRows={(shown) => {
            setRows(shown);
            rememberRows(shown);
          }}
        />
      </main>
    );
  const here = standing.played.filter((shot) => shot.phase === phase.index && shot.stationKey === turn.station.key);
  const of = phase.lots?.filter((lot) => phase.stations[lot.at]!.key === turn.station.key).length ?? 0;
  // Strokes to hole out say more when it is known from where the putting began.
  const leaves = scheme.puttedOut && !isPutt(turn.station.shotType);
  return (
    <main className={styles.ball} aria-busy={busy}>
      <BallHead phase={phase} turn={turn} system={system} played={here.length} of={of} chosen={sayMarks(answers.given, system)} />
      {said}
      {question?.kind === 'call' ? (
        <>
          <ScoreLine standing={standing} system={system} rival={rival} />
          <CallShot key={ball} title={question.title} onCall={(called) => press({ do: 'call', called })}>
            <UndoButton disabled={balls === 0 && answers === NO_ANSWERS} onUndo={undo} />
          </CallShot>
        </>
      ) : question && question.kind !== 'result' ? (
        <>
          <ScoreLine standing={standing} system={system} rival={rival} />
          <QuestionPanel
            question={question}
            onAnswer={(key) => pressKey(question, key)}
            onBack={answers === NO_ANSWERS ? null : () => dispatch({ do: 'back' })}
          />
          {answers === NO_ANSWERS && (
            <div className={styles.two}>
              <UndoButton disabled={balls === 0 && answers === NO_ANSWERS} onUndo={undo} />
            </div>
          )}
        </>
      ) : entry.way === 'leave' ? (
        <TypePanel
          system={system}
          measures={sitting.players[seat]!.measures}
          offer={offer}
          verdict={() => 'left on the green'}
          pad={pad}
          onPad={onPad}
          onRecord={({ leftM, measured: how }) => {
            onDetails({ ...details, leftM, measured: how });
            enter({ way: 'keys' });
          }}
          onCancel={() => enter({ way: 'keys' })}
        />
      ) : entry.way === 'tally' && tally ? (
        <>
          <ScoreLine standing={standing} system={system} rival={rival} />
          <TallyPanel
            tally={tally}
            name={(key) => sayKey(key, phase.sizes, system, turn.station.target)}
            unit={scheme.unit(phase.scoring)}
            sides={measured}
            onRecord={(counts, where) => press({ do: 'set', results: ballsOfTally(tally, counts, answers, where) })}
            onCancel={() => enter({ way: 'keys' })}
          />
        </>
      ) : entry.way === 'type' ? (
        <>
          <ScoreLine standing={standing} system={system} rival={rival} />
          {typesFirst && marked}
          {typesFirst && (
            <div className={styles.two} style={{ gridTemplateColumns: 'repeat(3, 1fr)' }}>
              <UndoButton disabled={balls === 0 && answers === NO_ANSWERS} onUndo={undo} />
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
            pad={pad}
            onPad={onPad}
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
          <ScoreLine standing={standing} system={system} rival={rival} />
          {!measured && <Landing standing={standing} turn={turn} system={system} />}
          {!measured && <Card standing={standing} />}
          {entry.way === 'place' ? (
            <PlacePanel
              place={entry.place}
              reachM={reachOf(standing, turn)}
              system={system}
              verdict={verdict}
              onMove={(place) => enter({ way: 'place', place })}
              onRecord={record}
              onCancel={() => enter({ way: 'keys' })}
            />
          ) : (
            <>
              {marked}
              <div
                className={styles.two}
                style={{
                  gridTemplateColumns: `repeat(${2 + (measured || leaves ? 1 : 0) + (onElsewhere ? 1 : 0) + (tally ? 1 : 0)}, 1fr)`,
                }}
              >
                <UndoButton disabled={balls === 0 && answers === NO_ANSWERS} onUndo={undo} />
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
                {tally && (
                  <button type="button" className="btn btn-outline-dark" onClick={() => enter({ way: 'tally' })}>
                    Tally
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
                onPress={(key) => main && pressKey(main, key)}
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
  /** What was chosen for this ball, in words: "PW"; empty before anything was. */
  chosen: string;
};

/** Where a ball is played from, and what is asked of it. */
function BallHead({ phase, turn, system, played, of, chosen }: HeadProps) {
  const asked = sayAsked(turn);
  const says = schemeOf(phase.scoring).stationSays;
  const where = sayWhere(turn.station, turn.stationNo, phase.stations.length);
  const thought = [schemeOf(phase.scoring).cue?.(phase.scoring), turn.station.note].filter(Boolean).join(' · ');
  return (
    <div className={styles.station} aria-live="polite">
      {where && <p className={styles.where}>{where}</p>}
      <h1>{sayStation(turn.station, system)}</h1>
      <p>
        {asked && <strong className={styles.asked}>{asked}</strong>}{' '}
        {[sayStationLie(turn.station), sayGround(turn.station, system)].filter(Boolean).join(' · ')}
        {turn.station.target === 'peg' && ' · to the peg'}
        {says.includes('par') && ` · par ${turn.station.par ?? 2}`}
        {says.includes('carryM') && turn.station.carryM !== null && (
          <strong> · land at {sayAtStation(turn.station.carryM, turn.station, system)}</strong>
        )}
        {chosen && (
          <>
            {' · '}
            <strong className={styles.asked}>{chosen}</strong>
          </>
        )}
        {turn.attempt > 1 && <strong> · again, attempt {turn.attempt}</strong>}
      </p>
      {thought && <p className={styles.thought}>{thought}</p>}
      {of > 1 && (
        <span className={`${styles.count} fig`}>
          {Math.min(of, played + 1)}
          <small>of {of}</small>
        </span>
      )}
    </div>
  );
}
