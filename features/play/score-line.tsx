import { sayStation } from '@/core/game/words/say-station';
import type { Standing } from '@/core/play/play';
import { goalMet } from '@/core/play/play';
import { sayAsked } from '@/core/play/questions';
import type { ToBeat } from '@/core/play/round';
import { sayScore, scoreFigure, sayUnit } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import { counted, formatLeft } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import styles from './play.module.scss';

/** How it stands: the score of the phase that is being played, the goal, and what comes next. */
export function ScoreLine({ standing, system, rival = null }: { standing: Standing; system: UnitSystem; rival?: ToBeat | null }) {
  const { phase, game, phases } = standing;
  const counts = phase.index === phases.length - 1;
  const scheme = schemeOf(phase.scoring);
  const unit = scheme.unit(phase.scoring);
  const score = counts ? standing.score : phases[phase.index]!.score;
  const here = phases[phase.index]!;
  const left = here.turns - here.balls;
  const then = game.open ? null : sayThen(standing, system);
  return (
    <div className={styles.score}>
      <output className="fig" aria-label="Score">
        {scoreFigure(score, unit, system)}
      </output>
      <p>
        <span className={styles.unit}>{sayUnit(unit, system)}</span>
        {!counts && (
          <>
            {' '}
            · <b>{phase.title}</b>
          </>
        )}
        {standing.now && (
          <>
            {' '}
            · <b>{standing.now}</b>
          </>
        )}
        {rival && (
          <>
            {' '}
            · <b>to beat: {sayRival(rival, system)}</b>
          </>
        )}
        {counts && <GoalPart standing={standing} left={left} system={system} />}
        <br />
        {game.open
          ? counted(here.balls, 'ball')
          : `${counted(left, 'ball')} ${phase.lots === null ? 'left at most' : 'left'}${then && phase.lots !== null && phase.order !== 'choice' ? ` · then ${then}` : ''}`}
      </p>
    </div>
  );
}

function sayRival({ holed, leftM, unmeasured }: ToBeat, system: UnitSystem): string {
  if (holed) return 'holed';
  if (unmeasured) return 'a ball in play';
  return leftM === null ? 'outside' : formatLeft(leftM, system);
}

/** What comes after this ball: the end, the same again, another shot from here, or another station. */
function sayThen({ after, next }: Standing, system: UnitSystem): string {
  if (after === null) return 'the end';
  if (after.station.key !== next?.station.key) return sayStation(after.station, system);
  const asked = sayAsked(after);
  return asked === '' || asked === sayAsked(next) ? 'the same again' : asked;
}

/** The goal, and what it takes yet where that can be said for one ball. */
function GoalPart({ standing, left, system }: { standing: Standing; left: number; system: UnitSystem }) {
  const { game, score } = standing;
  if (game.goal === null) return null;
  const scheme = schemeOf(game.scoring);
  const unit = scheme.unit(game.scoring);
  const missing = game.goal - score;
  const said = sayScore(game.goal, unit, system);
  // Beside the unit where there is room, else on a line of its own.
  const line = standing.now ? <br /> : ' · ';
  if (scheme.better(game.scoring) === 'higher')
    return (
      <>
        {line}
        <b>goal {unit === 'points' ? game.goal : said}</b> ·{' '}
        {goalMet(game, score) ? 'reached' : left === 0 ? `${missing} short` : `${(missing / left).toFixed(1)} a ball needed`}
      </>
    );
  return (
    <>
      {line}
      <b>goal {said}</b>
      {left > 0 && (missing >= 0 ? unit === 'length' && ` · ${formatLeft(missing / left, system)} a ball` : ' · missed')}
    </>
  );
}
