'use client';

import type { Question } from '@/core/play/questions';
import type { AnswerKey } from '@/core/game/scoring/answer-keys';
import styles from './play.module.scss';

type Props = { question: Question; onAnswer: (key: AnswerKey) => void; onBack: (() => void) | null };

/** One more question about a ball: large keys, low on the screen. */
export function QuestionPanel({ question, onAnswer, onBack }: Props) {
  const columns = question.keys.length <= 3 ? question.keys.length : question.keys.length <= 4 ? 2 : 3;
  return (
    <section className={styles.question} aria-label={question.title}>
      <h2>{question.title}</h2>
      <div className={styles.keys} style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}>
        {question.keys.map((key) => (
          <button key={key.key} type="button" disabled={key.refused !== undefined} onClick={() => onAnswer(key)}>
            {key.text}
            {(key.refused ?? key.despite) && <small>{key.refused ?? key.despite}</small>}
          </button>
        ))}
      </div>
      {onBack && (
        <div className={styles.backRow}>
          <button type="button" className="btn btn-outline-dark" onClick={onBack}>
            Back
          </button>
        </div>
      )}
    </section>
  );
}
