import { sayBetween, sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { isPutt } from '@/core/golf/shot-types';
import Link from 'next/link';
import { say } from '@/core/golf/words';
import type { Belief, Finding } from '@/core/skill/diagnose';
import { LEAST_BALLS, LEAST_PAIRS, type Pairs as PairsOf, type Ranking } from '@/core/board/choices';
import { certaintyOf, percentOf } from '@/core/board/certainty';
import { finishOf, insideOf, type Inside } from '@/core/board/inside';
import { sayCell } from '@/core/board/say-cell';
import type { SkillModel } from '@/core/skill/model';
import type { Per } from '@/core/board/settle';
import type { Shot } from '@/core/shot/shot';
import { settledMedian } from '@/core/shot/median-left';
import { capital, counted, formatLeft, formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { Tape } from '@/ui/tape';
import { sayDay } from '@/core/units/say-moment';
import { asQuery, type BoardAsked } from './asked';
import { curveOf } from './curve';
import { CurveChart } from './curve-chart';
import { Interval } from './interval';
import { Scatter } from './scatter';
import styles from './skill.module.scss';

type Props = {
  model: SkillModel;
  finding: Finding;
  shots: Shot[];
  belief: Belief;
  level: number;
  per: Per;
  strokes: StrokesAs;
  system: UnitSystem;
  asked: BoardAsked;
  timeZone: string;
  now: Date;
};

const percent = (share: number) => `${Math.round(100 * share)}%`;

/** What stands behind one cell of the board. */
export function CellPanel({ model, finding, shots, belief, level, per, strokes, system, asked, timeZone, now }: Props) {
  const inside = insideOf(shots, level, model);
  const curve = curveOf(model, belief, finding, shots);
  const modelled = curve.points.find(({ distanceM }) => distanceM === finding.distanceM);
  const { mean, interval80 } = finding.perShot;
  const putt = isPutt(finding.shotType);
  const name = sayCell(finding);
  return (
    <div className={styles.panel}>
      <Link
        href={asQuery(asked, { cell: undefined }) || '?'}
        scroll={false}
        replace
        className={`btn btn-sm btn-outline-dark ${styles.close} no-print`}
      >
        Close
      </Link>
      <h2>{capital(name)}</h2>
      <p className="small-print mb-0">
        {counted(finding.balls, 'ball')}
        {finding.lastAt && `, the last ${sayDay(finding.lastAt, timeZone, now)}`} · comes up {finding.uses.toFixed(2)} times a round
      </p>
      <div className={styles.figures}>
        <div>
          <b className="fig">{sayStrokes(mean, strokes)}</b>
          <span>
            {strokes} a shot ({sayBetween(interval80, strokes)}, 8 times in 10)
          </span>
        </div>
        <div>
          <b className="fig">{finding.expectedStrokes.toFixed(2)}</b>
          <span>strokes expected; compared with {finding.referenceStrokes.toFixed(2)}</span>
        </div>
        <div>
          <b className="fig">{percentOf((per === 'shot' ? finding.perShot : finding.perRound).weakest3)}%</b>
          <span>likely to be among the three weakest per {per}</span>
        </div>
      </div>
      {finding.balls === 0 ? (
        <p>Not played yet: the figure is estimated from similar shots. Hit a dozen to find out.</p>
      ) : (
        <>
          {inside.left.length > 0 && (
            <Tape
              label={`Where ${counted(inside.left.length, 'ball')} stopped: ${sayMedian(inside, system)}`}
              balls={inside.left}
              system={system}
              medianM={settledMedian(putt ? inside.left.filter(({ to }) => to > 0) : inside.left)}
              width={360}
            />
          )}
          <div className={inside.spread ? styles.pair : undefined}>
            {inside.spread && (
              <Scatter
                label={`Where ${counted(inside.spread.of, 'ball')} of known direction stopped`}
                finishes={shots.map(finishOf).filter((one) => one !== null)}
                spread={inside.spread}
                system={system}
              />
            )}
            <Words inside={inside} system={system} putt={putt} modelled={putt ? null : (modelled ?? null)} />
          </div>
          <Ranked title="Clubs here" ranking={inside.clubs} strokes={strokes} />
          <Ranked title="Flight" ranking={inside.trajectories} strokes={strokes} />
          <Pairs pairs={inside.pairs} />
        </>
      )}
      {!putt && <CurveChart {...curve} system={system} />}
    </div>
  );
}

function sayMedian({ median }: Inside, system: UnitSystem): string {
  if (!median) return 'no distance known';
  const near = formatLeft(median.from, system);
  if (!Number.isFinite(median.to)) return `median over ${near}`;
  const far = formatLeft(median.to, system);
  return near === far ? `median ${near}` : `median ${near} to ${far}`;
}

type WordsProps = {
  inside: Inside;
  system: UnitSystem;
  putt: boolean;
  /** What is left in the middle, by the model, and between what that lies eight times in ten; metres. */
  modelled: { middle: number; low: number; high: number } | null;
};

/** The misses in words, and what else was marked. */
function Words({ inside, system, putt, modelled }: WordsProps) {
  const { spread, mishits, offGreen, intended, landing, upAndDown } = inside;
  const marks = Object.entries(mishits).filter(([, n]) => n > 0);
  return (
    <div>
      <p>
        <b>
          {capital(sayMedian(inside, system))}
          {putt && ' left, of those missed'}
        </b>{' '}
        <small className="small-print">of {inside.median?.of ?? 0}</small>
        {inside.holed > 0 && `; ${inside.holed} holed`}.
        {modelled && inside.median?.from !== inside.median?.to && (
          <>
            {' '}
            By the model {formatLeft(modelled.middle, system)} ({formatLeft(modelled.low, system)} to {formatLeft(modelled.high, system)}).
          </>
        )}
      </p>
      {spread?.word && (
        <p>
          <b>
            {capital(spread.word.word)}, {spread.word.balls} of {spread.word.of}.
          </b>
        </p>
      )}
      {spread && (
        <p>
          Misses on average: {sayMiddle(spread.middle, system)}; {percent(spread.left / spread.of)} of {spread.of} left of the line
          {spread.ellipse && '; about two in three inside the ellipse'}.
        </p>
      )}
      {marks.length > 0 && <p>{marks.map(([kind, n]) => `${n} ${kind}`).join(', ')}.</p>}
      {!putt && offGreen.balls > 0 && (
        <p>
          {offGreen.balls} missed the green, of {counted(inside.balls, 'ball')}.
        </p>
      )}
      {intended && (
        <p>
          Played for {formatLength(Math.abs(intended.meanM), system === 'metric' ? 'm' : 'yd')} {intended.meanM < 0 ? 'less' : 'more'} than
          the tape says, on average of {intended.balls}.
        </p>
      )}
      {landing && (
        <p>
          Landed {formatLeft(Math.abs(landing.meanM), system)} {landing.meanM < 0 ? 'short of' : 'past'} the spot, on average of{' '}
          {landing.balls}.
        </p>
      )}
      {upAndDown && upAndDown.balls > 0 && (
        <p>
          Up and down {percent(upAndDown.inTwo / upAndDown.balls)} of {upAndDown.balls}
          {upAndDown.shot + upAndDown.putt > 1 &&
            `: where not, the ${upAndDown.shot >= upAndDown.putt ? 'shot' : 'putt'} cost more ${Math.max(upAndDown.shot, upAndDown.putt)} times in ${upAndDown.shot + upAndDown.putt}`}
          .
        </p>
      )}
    </div>
  );
}

function sayMiddle({ right, beyond }: { right: number; beyond: number }, system: UnitSystem): string {
  const NOTHING = 0.05;
  const parts = [
    Math.abs(beyond) < NOTHING ? '' : `${formatLeft(Math.abs(beyond), system)} ${beyond < 0 ? 'short' : 'long'}`,
    Math.abs(right) < NOTHING ? '' : `${formatLeft(Math.abs(right), system)} ${right < 0 ? 'left' : 'right'}`,
  ].filter(Boolean);
  return parts.length === 0 ? 'at the hole' : parts.join(', ');
}

function Ranked({ title, ranking: { choices, versus }, strokes }: { title: string; ranking: Ranking; strokes: StrokesAs }) {
  if (choices.length < 2 || !versus) return null;
  const Z80 = 1.2815515655446004;
  const ends = choices.flatMap(({ lost, sd }) => [lost - Z80 * sd, lost + Z80 * sd, 0]);
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  return (
    <section>
      <h3>{title}</h3>
      <ul className={styles.bars}>
        {choices.map(({ name, balls, lost, sd }) => (
          <li key={name}>
            <b>{say(name)}</b>
            <Interval
              mean={lost}
              low={lost - Z80 * sd}
              high={lost + Z80 * sd}
              from={from}
              to={to}
              label={`${name}: ${sayStrokes(lost, strokes)} ${strokes} a shot, ${sayBetween([lost - Z80 * sd, lost + Z80 * sd], strokes)} eight times in ten`}
            />
            <small>
              {sayStrokes(lost, strokes)} {strokes} · {counted(balls, 'ball')}
            </small>
          </li>
        ))}
      </ul>
      <p className="small-print mb-0">
        {versus.chance === null
          ? `Too few balls to compare. Hit at least ${LEAST_BALLS} with each.`
          : certaintyOf(versus.chance) === 'too close to call'
            ? `Too close to call: ${say(versus.better)} is ahead (${percentOf(versus.chance)}%).`
            : `${capital(say(versus.better))} ${certaintyOf(versus.chance) === 'sure' ? 'beats' : 'probably beats'} ${say(versus.worse)} here (${percentOf(versus.chance)}%).`}
      </p>
    </section>
  );
}

function sayPairs({ mean, chanceHighBetter }: PairsOf): string {
  if (chanceHighBetter === null) return `too few to compare; ${LEAST_PAIRS} are enough`;
  const [better, chance] = chanceHighBetter >= 0.5 ? ['high', chanceHighBetter] : ['low', 1 - chanceHighBetter];
  if (certaintyOf(chance) === 'too close to call') return `too close to call, ${better} is ahead (${percentOf(chance)}%)`;
  return `${better} is ${certaintyOf(chance) === 'sure' ? '' : 'probably '}better, by ${Math.abs(mean).toFixed(2)} strokes (${percentOf(chance)}%)`;
}

function Pairs({ pairs }: { pairs: PairsOf | null }) {
  if (!pairs) return null;
  return (
    <section>
      <h3>The same station, low and high</h3>
      <p className="small-print mb-0">
        {counted(pairs.pairs, 'pair')}: {sayPairs(pairs)}.
      </p>
    </section>
  );
}
