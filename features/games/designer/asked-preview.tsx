import { sayStation, sayStationLie } from '@/core/game/words/say-station';
import { plainEntrant } from '@/core/game/entrant';
import { playSession } from '@/core/play/play';
import { answered, NO_ANSWERS, nextQuestion, sayAsked, type Question } from '@/core/play/questions';
import { sayKey } from '@/core/game/words/say-key';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import type { UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';

const NOBODY = '00000000-0000-7000-8000-000000000000';

/** The questions about the first ball of a game, as somebody would be asked who does not hole it. */
export function questionsOf(spec: GameSpec): { station: string; lie: string; asked: string; questions: Question[] } | null {
  const people = Array.from({ length: schemeOf(spec.scoring).players }, () => plainEntrant(NOBODY));
  const standing = playSession(spec, people, []).standings[0]!;
  const turn = standing.next;
  if (!turn) return null;
  const questions: Question[] = [];
  let answers = NO_ANSWERS;
  for (let n = 0; n < 6; n++) {
    const question = nextQuestion(standing, turn, { clubs: [], favourite: null }, answers);
    if (!question) break;
    questions.push(question);
    answers = answered(answers, question, question.keys[1] ?? question.keys[0]!);
  }
  return { station: sayStation(turn.station, 'imperial'), lie: sayStationLie(turn.station), asked: sayAsked(turn), questions };
}

/** What a player will be asked for each ball. */
export function AskedPreview({ spec, units }: { spec: GameSpec; units: UnitSystem }) {
  const asked = questionsOf(spec);
  if (!asked) return <p className="small-print">The first station is called at the green.</p>;
  const station = spec.stations[0]!;
  const typed = schemeOf(spec.leadIn[0]?.scoring ?? spec.scoring).takesDistance(spec.leadIn[0]?.scoring ?? spec.scoring);
  return (
    <div className={styles.asked} aria-label="What a player is asked">
      <p className={styles.askedStation}>
        <b>{sayStation(station, units)}</b> {asked.asked && <em>{asked.asked}</em>}
      </p>
      {asked.questions.map((question, i) => (
        <div key={i}>
          {question.title && <p className={styles.askedTitle}>{question.title}</p>}
          <div className={styles.askedKeys}>
            {question.keys.slice(0, 10).map((key) => (
              <span key={key.key}>
                {sayKey(key, spec.sizes, units, station.target)}
                {key.worth !== null && question.kind === 'result' && <small>{key.worth}</small>}
              </span>
            ))}
          </div>
        </div>
      ))}
      <p className="small-print mb-0">
        {asked.questions.length === 1 ? 'One tap a ball' : `${asked.questions.length} taps a ball`}
        {typed ? '; or the distance, typed or tapped on the target.' : '.'}
      </p>
    </div>
  );
}
