import { sayBetween, sayStrokes, type StrokesAs } from '@/core/units/strokes';
import { isPutt } from '@/core/golf/shot-types';
import { sayLevel } from '@/core/golf/level';
import { sayBand } from '@/core/golf/bands';
import { byBreak } from '@/core/board/by-break';
import { referencePutting } from '@/core/golf/putting';
import { say } from '@/core/golf/words';
import { makeBins, makeCurve, missesOf, puttingSkills, type Spread80 } from '@/core/board/putting';
import type { SkillModel } from '@/core/skill/model';
import type { Shot } from '@/core/shot/shot';
import { capital, counted } from '@/core/units/format';
import type { Answer, PlayerRow } from '@/server/data';
import type { BoardAsked } from './asked';
import { Filters } from './filters';
import type { Board } from '@/server/known/board';
import { MakeChart } from './make-chart';
import { ChooseGame } from '../form/choose-game';
import { PlayerHead } from './player-head';
import styles from './skill.module.scss';

type Props = {
  slug: string;
  mayChange: boolean;
  model: SkillModel;
  player: PlayerRow;
  board: Board;
  /** All ordinary putts that were played as balls of their own. */
  putts: Shot[];
  /** How putts run from stations whose games say so. */
  runs: Answer<'puttRuns'>;
  asked: BoardAsked;
  narrowings: Answer<'narrowings'>;
  strokes: StrokesAs;
};

const percent = (share: number) => `${Math.round(100 * share)}%`;

/** Putting: how often putts drop, and whether it is the line or the pace. */
export function PuttingPage({ slug, mayChange, model, player, board, putts, runs, asked, narrowings, strokes }: Props) {
  const { known, level, diagnosis } = board;
  const bins = makeBins(known.evidence);
  const balls = bins.reduce((sum, bin) => sum + bin.balls, 0);
  const { line, pace } = puttingSkills(model, known.belief, level);
  const misses = missesOf(putts);
  const runAt = new Map(runs.map((one) => [`${one.sessionId}|${one.phase}|${one.stationKey}`, one]));
  const byRun = byBreak(
    putts,
    ({ sessionId, phase, stationKey }) => runAt.get(`${sessionId}|${phase}|${stationKey}`) ?? null,
    referencePutting(level),
  );
  const findings = diagnosis.findings.filter(({ shotType }) => isPutt(shotType));
  return (
    <div className="desk">
      <section>
        <PlayerHead
          slug={slug}
          player={player}
          mayChange={mayChange}
          beside={`compared with level ${sayLevel(level)} · ${counted(balls, 'putt')}`}
        />
        {balls === 0 ? (
          <p className="empty">
            No putt yet. <ChooseGame slug={slug} mayChange={mayChange} /> with putts, or record the strokes after a chip: those putts count
            too. Until then the curve is what’s usual at level {sayLevel(player.level)}.
          </p>
        ) : (
          <p className={styles.say}>
            <b>{sayWhich(line, pace, level)}</b>
          </p>
        )}
        <Filters
          asked={{ ...asked, against: level }}
          ownLevel={player.level}
          levels={model.reference.levels}
          {...narrowings}
          squad={false}
        />
        <MakeChart points={makeCurve(model, known.belief, level)} bins={bins} level={level} system={player.units} />
        <p className="small-print">
          The curve is the model’s estimate with its range (8 times in 10). The dots are the putts holed in each distance band, with the
          range their number allows. Putts after chips count too. The model assumes a pace that runs a foot past, and doesn’t know the green
          speed.
        </p>
      </section>
      <aside className={styles.panel}>
        <h2>Line and pace</h2>
        <div className={styles.figures}>
          <div>
            <b className="fig">{line.mean.toFixed(2)}°</b>
            <span>
              off line (range {line.interval80[0].toFixed(2)} to {line.interval80[1].toFixed(2)}); level {line.level.toFixed(2)}°
            </span>
          </div>
          <div>
            <b className="fig">{(100 * pace.mean).toFixed(1)}%</b>
            <span>
              of the length, off in pace (range {(100 * pace.interval80[0]).toFixed(1)} to {(100 * pace.interval80[1]).toFixed(1)}); level{' '}
              {(100 * pace.level).toFixed(1)}%
            </span>
          </div>
        </div>
        {misses ? (
          <p>
            Of {counted(misses.of, 'miss').replace('misss', 'misses')} with a known direction,{' '}
            <b>{percent(misses.short / misses.of)} stopped short</b> and {percent(misses.left / misses.of)} left of the hole. They were off
            by {percent(misses.paceOff)} of the length and {misses.lineOffDeg.toFixed(1)}° of line.
          </p>
        ) : (
          <p className="small-print">
            No miss has a direction yet. Tap the target where the ball stopped: then it shows whether line or pace was off.
          </p>
        )}
        {byRun.length > 0 && (
          <>
            <h3>By slope and break</h3>
            <table className="table table-sm">
              <thead>
                <tr>
                  <th scope="col">Runs</th>
                  <th scope="col" className="text-end">
                    Holed
                  </th>
                  <th scope="col" className="text-end">
                    Level {sayLevel(level)}
                  </th>
                  <th scope="col" className="text-end">
                    Short
                  </th>
                </tr>
              </thead>
              <tbody>
                {byRun.map(({ run, putts: of, holed, expected, short, directed }) => (
                  <tr key={run}>
                    <th scope="row" className="fw-semibold">
                      {capital(say(run))}
                    </th>
                    <td className="text-end text-nowrap">
                      {holed} of {of}
                    </td>
                    <td className="text-end">{expected.toFixed(1)}</td>
                    <td className="text-end text-nowrap">{directed === 0 ? '–' : `${short} of ${directed}`}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
        <h3>By distance</h3>
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">From</th>
              <th scope="col" className="text-end">
                Holed
              </th>
              <th scope="col" className="text-end">
                Expected
              </th>
              <th scope="col" className="text-end">
                {capital(strokes)} a putt
              </th>
            </tr>
          </thead>
          <tbody>
            {findings.map((finding) => {
              const bin = bins.find(({ band }) => band.min === finding.band.min);
              return (
                <tr key={finding.key}>
                  <th scope="row" className="fw-semibold text-nowrap">
                    {sayBand(finding.band)}
                  </th>
                  <td className="text-end text-nowrap">{bin ? `${bin.holed} of ${bin.balls}` : '–'}</td>
                  <td className="text-end">{finding.expectedStrokes.toFixed(2)}</td>
                  <td className="text-end">
                    <b>{sayStrokes(finding.perShot.mean, strokes)}</b>{' '}
                    <small className="small-print text-nowrap">{sayBetween(finding.perShot.interval80, strokes)}</small>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </aside>
    </div>
  );
}

/** Line and pace against the level: worse or better where the range says so, else too close to call. */
function sayWhich(line: Spread80, pace: Spread80, level: number): string {
  const say = ({ interval80, level: of }: Spread80) => (interval80[0] > of ? 'worse' : interval80[1] < of ? 'better' : null);
  const [a, b] = [say(line), say(pace)];
  const than = `than level ${sayLevel(level)}`;
  if (a === b)
    return a === null
      ? `Line and pace are both too close to call against level ${sayLevel(level)}.`
      : `Line and pace are both ${a} ${than}.`;
  const part = (word: string | null) => (word === null ? 'too close to call' : `${word} ${than}`);
  return `Line: ${part(a)}. Pace: ${part(b)}.`;
}
